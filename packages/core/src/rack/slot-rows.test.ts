import { smallPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { slotRows } from './slot-rows.js';

const start = smallPlant();
const rows = (project = start) =>
  slotRows(project, project.get('rack', 'rack')!).map(({ slot, module, zone }) => [slot, module?.id ?? null, zone]);

test('every slot of a rack stands once, empty or not', () => {
  expect(rows()).toEqual([
    [0, 'm1', null],
    [1, 'm2', null],
    [2, 'm3', null],
    [3, null, null],
  ]);
});

test('two modules in one slot are two lines, and those without a slot or outside come last', () => {
  expect(rows(edited(start, ['module', 'm3', 'slot', 1]))).toEqual([
    [0, 'm1', null],
    [1, 'm2', null],
    [1, 'm3', null],
    [2, null, null],
    [3, null, null],
  ]);
  const project = edited(start, ['module', 'm1', 'slot', 9], ['module', 'm2', 'slot', null]);
  expect(rows(project).slice(-2)).toEqual([
    [9, 'm1', null],
    [null, 'm2', null],
  ]);
});

test('a rack that begins at 1 has no slot 0; a zone is named at its first slot', () => {
  const zones = {
    a: { order: 10, name: 'CPUs', slot: 1, size: 1, kinds: [] },
    b: { order: 20, name: 'I/O', slot: 2, size: 3, kinds: [] },
  };
  const project = edited(start, ['rack', 'rack', 'first', 1], ['rack', 'rack', 'zones', zones]);
  expect(rows(project)).toEqual([
    [1, 'm2', 'CPUs'],
    [2, 'm3', 'I/O'],
    [3, null, null],
    [4, null, null],
    [0, 'm1', null],
  ]);
});
