import { applied, codesOf, edited, twoStations } from '../testing/two-stations.testing.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { fillLanes, fillValues } from './fill.js';
import { sheetRows } from './sheet.js';

let next = 0;
const newId = () => `f${next++}`;

/** One value `Door_01` at the start of a lane that is long enough for many. */
const oneValue = (base: string, view = 'elements', capacity = 200): Project =>
  edited(
    twoStations(),
    [
      'profile',
      'pa',
      'views.va',
      {
        order: 10,
        name: view,
        areaKind: 'memory',
        notation: `iec ${view}`,
        prefix: 'M',
        unit: view === 'bytes' ? 8 : 16,
        first: 0,
      },
    ],
    ['lane', 'lane', 'items', { k: { order: 10 } }],
    ['claim', 'ca', 'place', { area: 'areaa', view: 'va', number: 100, width: 16 }],
    ['claim', 'ca', 'length', { count: capacity, unit: 16 }],
    [
      'claim',
      'ca',
      'items',
      { k: { name: 'Door_01', type: { base, count: 1 }, offset: { bits: 0, ...(base === 'BOOL' ? { bit: 0 } : {}) } } },
    ],
  );

function filled(project: Project, count: number) {
  const result = fillValues(project, project.get('lane', 'lane')!, project.get('claim', 'ca')!, 'k', count, newId)!;
  const after = applied(project, { id: 'fill', label: '', changes: result.changes });
  const [left, right] = childrenOf(after, 'end', 'x');
  const rows = sheetRows(after, after.get('exchange', 'x')!, left!, right!, new Set(['lane']));
  const items = rows.filter((r) => r.kind === 'item').map((r) => [r.left!.name.text, r.left!.address.text]);
  return { ...result, items };
}

test('from Door_01 at %MW100, REAL, over 20 rows: Door_20, by 2 where numbers count words, by 4 where they count bytes', () => {
  const words = filled(oneValue('REAL'), 20);
  expect(words.items.slice(0, 3)).toEqual([
    ['Door_01', '%MW100'],
    ['Door_02', '%MW102'],
    ['Door_03', '%MW104'],
  ]);
  expect(words.items.at(-1)).toEqual(['Door_20', '%MW138']);
  expect(words.last).toEqual({ name: 'Door_20', address: '%MW138' });
  expect(words.clashes).toEqual([]);
  const bytes = filled(oneValue('REAL', 'bytes'), 20);
  expect(bytes.items.slice(0, 2)).toEqual([
    ['Door_01', '%MD100'],
    ['Door_02', '%MD104'],
  ]);
});

test('BOOLs advance bit by bit and into the next word', () => {
  const { items } = filled(oneValue('BOOL'), 18);
  expect(items[1]).toEqual(['Door_02', '%MW100.1']);
  expect(items.at(-1)).toEqual(['Door_18', '%MW101.1']);
});

test('a clash is told before anything is stored: another value, or the end of the lane', () => {
  const two = edited(
    oneValue('INT', 'elements', 6),
    ['lane', 'lane', 'items', { k: { order: 10 }, other: { order: 20 } }],
    ['claim', 'ca', 'items.other', { name: 'Level', type: { base: 'INT', count: 1 }, offset: { bits: 48 } }],
  );
  expect(filled(two, 3).clashes).toEqual([]);
  expect(filled(two, 4).clashes).toEqual(['Door_04 would lie on Level']);
  expect(filled(two, 8).clashes).toContain('Door_08 would end beyond the lane');
});

test('lanes: names count on, addresses follow by length; what is in the way is named', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'name', 'Block_1']);
  const end = project.get('end', 'eb')!;
  const result = fillLanes(project, end, project.get('claim', 'cb')!, 3, newId)!;
  expect(result.last).toEqual({ name: 'Block_3', address: 'b208' });
  const after = applied(project, { id: 'fill', label: '', changes: result.changes });
  expect(childrenOf(after, 'lane', 'x')).toHaveLength(3);
  expect(new Set(codesOf(after))).toEqual(new Set(['POS 13']));
  const again = fillLanes(after, end, after.get('claim', 'cb')!, 2, newId)!;
  expect(again.clashes).toEqual(['Block_2 would lie on Block_2']);
});
