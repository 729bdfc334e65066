import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited } from '../testing/two-stations.testing.js';
import { affectedBy } from './affected.js';

const reached = (project: ReturnType<typeof smallPlant>, claim: string) =>
  affectedBy(project, claim).map(({ station, why, what }) => `${station}: ${why}, ${what}`);

test('the other end, whoever uses the same place, and what was sent before', () => {
  expect(reached(smallPlant(), 'ca')).toEqual(['sb: other end of the lane, Block cb']);
  const shared = edited(smallPlant(), ['claim', 'ca3', 'place.number', 98], ['claim', 'ca3', 'direction', 'writes']);
  expect(reached(shared, 'ca')).toContain('sa: uses the same place, Second, Block ca');
  const sent = added(smallPlant(), 'setting', {
    id: 's9',
    order: 90,
    station: 'sa',
    field: 'end ea',
    state: 'sent',
    by: 'R. Vale',
    at: '',
  });
  expect(reached(sent, 'ca')).toContain('sa: was sent, and is to be sent again, Exchange');
});

test('what the data goes on to, through a copy, and what it comes from', () => {
  const project = added(smallPlant(), 'copy', {
    id: 'on',
    order: 20,
    station: 'sa',
    name: 'On',
    length: { count: 4, unit: 16 },
    reader: null,
    from: { area: 'areaa', view: 'va', number: 320 },
    to: { area: 'areaa', view: 'va', number: 100 },
  });
  const forward = reached(project, 'cb3');
  expect(forward).toEqual([
    'sa: other end of the lane, Block ca',
    'sa: its data goes there, On, copied',
    'sa: its data goes there, Block ca, Exchange',
    'sb: its data goes there, Block cb, Exchange',
  ]);
  expect(reached(project, 'cb')).toContain('sc: its data comes from there, Block cb, Second');
});
