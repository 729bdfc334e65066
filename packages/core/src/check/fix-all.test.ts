import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, codesOf, edited, findingsOf } from '../testing/two-stations.testing.js';
import type { Change } from '../change/change.js';
import { inOrderOfWork } from './order-of-work.js';
import { fixAll } from './fix-all.js';

const faulty = edited(
  smallPlant(),
  ['claim', 'cb', 'length.count', 5],
  ['end', 'ea', 'told.eb.address', '10.0.0.99'],
  ['claim', 'cb3', 'direction', 'reads'],
);

test('every certain fix is taken in one step; what has none is named as left', () => {
  const findings = inOrderOfWork(findingsOf(faulty), faulty);
  const { changes, fixed, left } = fixAll(findings, faulty);
  expect(fixed.map((f) => f.code).sort()).toEqual(['ADR 13', 'DIR 1', 'SIZ 1']);
  const after = applied(faulty, { id: 'all', label: '', changes });
  const remaining = new Set(left.map((f) => f.code));
  expect(codesOf(after).every((code) => remaining.has(code))).toBe(true);
});

test('of each, what was typed last gives way', () => {
  const findings = findingsOf(faulty).filter((f) => f.code === 'SIZ 1');
  const typed: Change = { kind: 'claim', id: 'cb', path: ['length', 'count'], before: 4, after: 5 };
  const edit = { id: 'typed', label: '', changes: [typed] };
  const { changes } = fixAll(findings, faulty, () => [edit]);
  expect(changes).toMatchObject([{ id: 'cb', after: 4 }]);
  expect(fixAll(findings, faulty).changes).not.toEqual(changes);
});

test('two fixes of one field: the first is taken, the second is left', () => {
  const findings = findingsOf(faulty).filter((f) => f.code === 'SIZ 1');
  const twice = fixAll([...findings, ...findings], faulty);
  expect([twice.fixed.length, twice.left.length]).toEqual([1, 1]);
});
