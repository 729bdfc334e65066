import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { applied, codesOf, edited, twoStations } from '../testing/two-stations.testing.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { pasteItems, pasteLanes } from './paste.js';
import { splitBlock } from '../formats/split-block.js';

const counter = (prefix: string) => {
  let n = 0;
  return () => `${prefix}${n++}`;
};
const claimAt = (project: Project, lane: string, end: string) =>
  childrenOf(project, 'claim', lane).find((c) => c.end === end);
const commit = (project: Project, changes: Parameters<typeof applied>[1]['changes']) =>
  applied(project, { id: 'p', label: '', changes });

const lanes = (project: Project, text: string, end: 'ea' | 'eb' = 'ea') => {
  const pasted = pasteLanes(
    project,
    project.get('end', end)!,
    { lane: null, column: 0 },
    splitBlock(text),
    counter('l'),
  );
  return { ...pasted, project: commit(project, pasted.changes) };
};

test('a block of six columns makes lanes, one undo step', () => {
  const { project, problems, count } = lanes(
    twoStations(),
    'Valves\twrites\tMemory\ta200\t2 words\tWORD ×2\nPumps\treads\tMemory\ta204\t3\tINT ×3',
  );
  expect([count, problems]).toEqual([2, []]);
  const [, valves, pumps] = childrenOf(project, 'lane', 'x');
  expect(claimAt(project, valves!.id, 'ea')).toMatchObject({
    name: 'Valves',
    place: { number: 200 },
    length: { count: 2, unit: 16 },
  });
  expect(claimAt(project, pumps!.id, 'ea')).toMatchObject({ direction: 'reads', length: { count: 3, unit: 16 } });
});

test('an area left empty is the one that the address is in', () => {
  const { project, problems } = lanes(twoStations(), 'Valves\twrites\t\ta200\t2 words\tWORD ×2');
  expect(problems).toEqual([]);
  const [, valves] = childrenOf(project, 'lane', 'x');
  expect(claimAt(project, valves!.id, 'ea')).toMatchObject({ place: { area: 'areaa', number: 200 } });
});

test('columns are recognised by their headings, in any order; others are said to be left out', () => {
  const { project, understood } = lanes(twoStations(), 'Remark\tRegister\tSymbol\tFormat\nx\ta300\tOil\tREAL');
  expect(understood).toMatchObject({ headed: true, columns: [null, 'address', 'name', 'type'] });
  const [, lane] = childrenOf(project, 'lane', 'x');
  expect(claimAt(project, lane!.id, 'ea')).toMatchObject({
    name: 'Oil',
    place: { number: 300 },
    type: { base: 'REAL' },
  });
});

test('without headings, by what stands in them', () => {
  const { understood } = lanes(twoStations(), 'a300\tREAL\tOil\na302\tINT\tGas');
  expect(understood.columns).toEqual(['address', 'type', 'name']);
});

test('quotes of a spreadsheet are undone; what cannot be read is kept, with its line', () => {
  const { project, problems } = lanes(
    twoStations(),
    '"Tank ""North"""\twrites\t\tZ5\t2\tWORD\nOther\twrites\t\ta4\t1\tWORD\n',
  );
  const [, lane] = childrenOf(project, 'lane', 'x');
  expect(claimAt(project, lane!.id, 'ea')).toMatchObject({ name: 'Tank "North"', place: { typed: 'Z5' } });
  expect(problems.join()).toContain('line 1: “Z5” is not an address of this station');
});

const SKID_LIST = readFileSync(join(__dirname, '../../../../demo/skid-list.tsv'), 'utf8');

test('the other supplier’s list of 60 registers becomes the values of one lane, then is paired with ours', () => {
  const names = ['areaa', 'areab'] as const;
  const base = edited(twoStations(), ...names.map((n) => ['area', n, 'words', 4000] as const), [
    'profile',
    'pb',
    'views.vb.prefix',
    'w',
  ]);
  const lane = { id: 'skid', order: 50, exchange: 'x', items: {} };
  const empty = commit(base, [{ kind: 'lane', id: 'skid', path: [], after: lane as never }]);
  const theirs = pasteItems(
    empty,
    empty.get('end', 'eb')!,
    lane,
    { key: null, column: 0 },
    splitBlock(SKID_LIST),
    counter('k'),
  );
  expect(theirs.problems).toEqual([]);
  const one = commit(empty, theirs.changes);
  const claim = claimAt(one, 'skid', 'eb')!;
  expect(Object.keys(claim.items)).toHaveLength(60);
  // The list runs from w1400, two words a value.
  const lines = SKID_LIST.trim()
    .split('\n')
    .slice(1)
    .map((l) => l.split('\t'));
  const last = lines.at(-1)!;
  expect(claim.place).toMatchObject({ number: 1400 });
  expect(claim.length).toEqual({ count: Number(last[1]!.slice(1)) - 1400 + 2, unit: 16 });

  // Our own list, in another order of lines: paired by where each value lies, not by line.
  const ours = [...lines]
    .reverse()
    .map(([name, register, type]) => `Skid_${name}\ta${Number(register!.slice(1)) - 1400 + 500}\t${type}`);
  const pasted = pasteItems(
    one,
    one.get('end', 'ea')!,
    one.get('lane', 'skid')!,
    { key: null, column: 0 },
    splitBlock(ours.join('\n')),
    counter('o'),
  );
  const two = commit(one, pasted.changes);
  const both = claimAt(two, 'skid', 'ea')!;
  for (const [key] of entriesInOrder(two.get('lane', 'skid')!.items)) {
    expect(both.items[key]!.name).toBe(`Skid_${claimAt(two, 'skid', 'eb')!.items[key]!.name}`);
  }
  const settled = edited(
    two,
    ['claim', both.id, 'direction', 'reads'],
    ['claim', claim.id, 'direction', 'writes'],
    ['claim', both.id, 'toldPlace', 'w1400'],
  );
  expect(codesOf(settled).filter((c) => c !== 'POS 12' && c !== 'POS 1')).toEqual([]);
});

test('pasted over existing values it changes only the columns it has', () => {
  const lane = { id: 'skid', order: 50, exchange: 'x', items: {} };
  const empty = commit(twoStations(), [{ kind: 'lane', id: 'skid', path: [], after: lane as never }]);
  const first = pasteItems(
    empty,
    empty.get('end', 'ea')!,
    lane,
    { key: null, column: 0 },
    splitBlock('One\ta10\tINT\nTwo\ta11\tINT'),
    counter('k'),
  );
  const one = commit(empty, first.changes);
  const stored = one.get('lane', 'skid')!;
  const [key] = entriesInOrder(stored.items)[0]!;
  const second = pasteItems(
    one,
    one.get('end', 'ea')!,
    stored,
    { key, column: 0 },
    splitBlock('Uno\nDue'),
    counter('n'),
  );
  const items = claimAt(commit(one, second.changes), 'skid', 'ea')!.items;
  expect(Object.values(items)).toMatchObject([
    { name: 'Uno', offset: { bits: 0 }, type: { base: 'INT' } },
    { name: 'Due', offset: { bits: 16 } },
  ]);
});
