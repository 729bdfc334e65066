import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, edited } from '../testing/two-stations.testing.js';
import { boundTo } from '../tags/bound-to.js';
import { connectionTags } from './connection-tags.js';

let n = 0;
function made(project: Project): Project {
  const [exchange, end] = [project.get('exchange', 'y')!, project.get('end', 'ya')!];
  const changes = connectionTags(project, exchange, end, () => `made${n++}`);
  return applied(project, { id: `c${n++}`, label: '', changes });
}
const tags = (project: Project) => [...project.all('tag')].filter((t) => t.madeBy).map((t) => [t.name, t.type]);

test('an array of the connection’s elements for each block: 8 bytes are two elements of 32 bits', () => {
  const project = edited(smallPlant(), ['end', 'ya', 'elementBits', 32], ['claim', 'ca3', 'place', null]);
  const after = made(project);
  expect(tags(after)).toEqual([['Second_In', { base: 'DINT', count: 2 }]]);
  const [tag] = [...after.all('tag')].filter((t) => t.madeBy);
  expect(after.get('claim', 'ca3')!.place).toEqual({ area: tag!.id, view: 'tag', number: 0 });
  expect(boundTo(after, tag!.id)).toEqual(['Second, Block ca']);
});

test('another name or another width is followed, and what is bound stays bound', () => {
  const first = made(edited(smallPlant(), ['claim', 'ca3', 'place', null]));
  const renamed = made(
    edited(first, ['end', 'ya', 'references', { connection: 'Dosing pump' }], ['end', 'ya', 'elementBits', 16]),
  );
  expect(tags(renamed)).toEqual([['Dosing_pump_In', { base: 'INT', count: 4 }]]);
  expect(renamed.get('claim', 'ca3')!.place).toEqual(first.get('claim', 'ca3')!.place);
  const [exchange, end] = [renamed.get('exchange', 'y')!, renamed.get('end', 'ya')!];
  expect(connectionTags(renamed, exchange, end, () => 'never')).toEqual([]);
});
