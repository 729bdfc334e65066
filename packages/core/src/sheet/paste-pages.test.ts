import { childrenOf } from '../model/order.js';
import { applied, twoStations } from '../testing/two-stations.testing.js';
import { pastePages, splitPages } from './paste-pages.js';
import { SHEET_COLUMNS } from './sheet-fields.js';

let ids = 0;
const newId = () => `n${++ids}`;
const project = twoStations();
const [lane] = [...project.all('lane')];
const ends = childrenOf(project, 'end', lane!.exchange) as never as Parameters<typeof splitPages>[1];
const LEFT = ['Speed', 'writes', '', 'a100', '2 words', 'REAL'];
const RIGHT = ['Spd', 'reads', '', 'b40', '2 words', 'REAL'];

test('both pages as they are copied from the sheet: with the difference between them, or without', () => {
  expect(LEFT).toHaveLength(SHEET_COLUMNS.length);
  expect(splitPages(project, ends, [[...LEFT, 'agreed', ...RIGHT]])).toEqual([[LEFT], [RIGHT]]);
  expect(splitPages(project, ends, [[...LEFT, ...RIGHT]])).toEqual([[LEFT], [RIGHT]]);
});

test('as many columns a side, each with addresses of its own end, are both pages; one page is one', () => {
  const short = ['Speed', 'a100', 'REAL', 'Spd', 'b40', 'REAL'];
  expect(splitPages(project, ends, [short])).toEqual([[short.slice(0, 3)], [short.slice(3)]]);
  expect(splitPages(project, ends, [LEFT])).toBeNull();
  expect(splitPages(project, ends, [['Speed', 'a100', 'Load', 'a102']])).toBeNull();
});

test('both pages make lanes of two ends in one step', () => {
  const before = childrenOf(project, 'lane', lane!.exchange).length;
  const blocks = splitPages(project, ends, [
    ['Speed', 'a100', 'REAL', 'Spd', 'b40', 'REAL'],
    ['Load', 'a102', 'REAL', 'Ld', 'b42', 'REAL'],
  ])!;
  const pasted = pastePages(project, ends, null, blocks, newId);
  expect([pasted.count, pasted.problems]).toEqual([2, []]);
  const after = applied(project, { id: 'p', label: '', changes: pasted.changes });
  const made = childrenOf(after, 'lane', lane!.exchange).slice(before);
  const names = made.map(({ id }) =>
    ends.map((end) => childrenOf(after, 'claim', id).find((c) => c.end === end.id)!.name),
  );
  expect(names).toEqual([
    ['Speed', 'Spd'],
    ['Load', 'Ld'],
  ]);
});
