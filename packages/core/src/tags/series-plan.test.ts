import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { TagSeries } from '../model/tag-series.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, edited } from '../testing/two-stations.testing.js';
import { planSeries, seriesChanges } from './series-plan.js';

const series = (rest: Partial<TagSeries> = {}): TagSeries => ({
  id: 'doors',
  order: 10,
  station: 'sa',
  sample: 'Door_08',
  count: 3,
  type: { base: 'BOOL', count: 1 },
  place: { area: 'areaa', view: 'va', number: 400, bit: 14 },
  ...rest,
});
let next = 0;
const made = (project: Project, of: TagSeries) =>
  applied(project, {
    id: `s${next}`,
    label: '',
    changes: seriesChanges(project, of, planSeries(project, of), () => `st${++next}`),
  });
const doors = (project: Project) =>
  childrenOf(project, 'tag', 'sa')
    .filter((t) => t.series === 'doors')
    .map((t) => t.name);

// [published: IEC 61131-3, direct addresses: bits of one element follow each other] [from memory]
test('names count on with their width, bits follow over the end of their word', () => {
  expect(planSeries(smallPlant(), series()).tags.map((t) => [t.name, t.address])).toEqual([
    ['Door_08', 'a400.14'],
    ['Door_09', 'a400.15'],
    ['Door_10', 'a401.0'],
  ]);
  const reals = series({ type: { base: 'REAL', count: 1 }, place: { area: 'areaa', view: 'va', number: 400 } });
  expect(planSeries(smallPlant(), reals).tags.map((t) => t.address)).toEqual(['a400', 'a402', 'a404']);
});

test('another count keeps the tags that stay, and says what is bound to those that go', () => {
  const three = made(smallPlant(), series());
  expect(doors(three)).toEqual(['Door_08', 'Door_09', 'Door_10']);
  const tags = childrenOf(three, 'tag', 'sa').filter((t) => t.series === 'doors');
  const said = edited(
    three,
    ['tag', tags[0]!.id, 'comment', 'left'],
    ['claim', 'ca', 'place', { area: tags[2]!.id, view: 'tag', number: 0 }],
  );
  const less = series({ count: 2 });
  expect(planSeries(said, less).gone.map((g) => [g.tag.name, g.bound.length])).toEqual([['Door_10', 1]]);
  const two = made(said, less);
  expect(doors(two)).toEqual(['Door_08', 'Door_09']);
  expect(two.get('tag', tags[0]!.id)?.comment).toBe('left');
  expect(doors(made(two, series({ count: 4 })))).toEqual(['Door_08', 'Door_09', 'Door_10', 'Door_11']);
});

test('a name that another tag of the station has is a collision, and is not made', () => {
  const tag = { id: 'other', order: 5, station: 'sa', name: 'door_09', type: null, place: null };
  const project = added(smallPlant(), 'tag', tag);
  expect(planSeries(project, series()).tags.map((t) => t.taken)).toEqual([false, true, false]);
  expect(doors(made(project, series()))).toEqual(['Door_08', 'Door_10']);
});

test('a sample without digits cannot count', () => {
  expect(planSeries(smallPlant(), series({ sample: 'Door' }))).toMatchObject({ noDigits: true });
  expect(planSeries(smallPlant(), series({ sample: 'Door', count: 1 }))).toMatchObject({ noDigits: false });
});
