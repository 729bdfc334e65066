import { CheckEngine } from '../check/engine.js';
import { fixesOf } from '../check/fixes-of.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { checkedPlant, newId, pastedPlant, withLanes } from '../testing/pasted-plant.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { editSheet } from './edit-sheet.js';
import { readingsOf } from './first-areas.js';

const { project } = pastedPlant('Old\t10.8.3.1/24', 'Ctl\tword memory\t10.8.3.2', 'Ctl → Old');
const areasOf = (now: Project) =>
  inOrder(now, 'area')
    .filter(({ station }) => now.get('station', station)!.name === 'Old')
    .map(({ name, kind, wordBits }) => [name, kind, wordBits]);

test('an address that can be read in one way makes the area that it is in, with its notation', () => {
  expect(areasOf(project)).toEqual([]);
  const pasted = withLanes(
    project,
    'A\treads\t%MW40\tINT\tA\twrites\t40001\tINT',
    'B\twrites\t%MX42.0\tBOOL\tB\treads\t00003\tBOOL',
  );
  expect(areasOf(pasted).sort()).toEqual([
    ['Coils', 'coils', 16],
    ['Holding registers', 'holding registers', 16],
  ]);
  const { fixed } = checkedPlant(pasted);
  expect(checkedPlant(fixed).verdicts).toEqual(['agreed', 'agreed']);
});

test('typed into a cell it does the same, in the same step', () => {
  const exchange = inOrder(project, 'exchange')[0]!;
  const end = inOrder(project, 'end').find((one) => one.exchange === exchange.id && one.calling === 'listens')!;
  const { changes, problems } = editSheet(project, [{ end, lane: null, column: 'address', text: 'R100' }], newId);
  expect(problems).toEqual([]);
  const after = applied(project, { id: newId(), label: '', changes });
  expect(areasOf(after)).toEqual([['Registers', 'memory', 16]]);
  expect(inOrder(after, 'claim')).toMatchObject([{ place: { number: 100 } }]);
});

test('where two readings remain none is made: the finding names them, and its fixes are the choice', () => {
  expect(readingsOf('%MW40').map(({ words }) => words)).toEqual([
    'Memory, by words, as %MW100',
    'Memory, by bytes, as %MB100',
  ]);
  const pasted = withLanes(
    project,
    'A\treads\t%MW40\tINT\tA\twrites\t%MW40\tINT',
    'B\treads\t%MW41\tINT\tB\twrites\t%MW42\tINT',
  );
  expect(areasOf(pasted)).toEqual([]);
  const engine = new CheckEngine(pasted);
  const unread = [...engine.findings.values()].find(({ code, message }) => code === 'POS 13' && message === 'unread')!;
  expect(unread.params.expected).toContain('it can be read as Memory, by words');
  const fixes = fixesOf(unread, pasted);
  expect(fixes.map(({ label }) => label)).toEqual([
    'Old: Memory, by words, as %MW100',
    'Old: Memory, by bytes, as %MB100',
  ]);
  // It is chosen, and not taken with all others.
  expect(areasOf(checkedPlant(pasted).fixed)).toEqual([]);
  // One choice reads all that was kept as typed there.
  const after = applied(pasted, { id: newId(), label: '', changes: fixes[1]!.changes });
  expect(areasOf(after)).toEqual([['Memory', 'memory', 8]]);
  expect(inOrder(after, 'claim').filter(({ place }) => place && 'typed' in place)).toEqual([]);
});

test('a station of a type, or one that has areas, gets none', () => {
  const typed = pastedPlant('Old\tlarge tags by name\t10.8.3.1/24', 'Ctl\tword memory\t10.8.3.2', 'Ctl → Old').project;
  expect(areasOf(withLanes(typed, 'A\treads\t%MW40\tINT\tA\twrites\tR1\tINT'))).toEqual([]);
});
