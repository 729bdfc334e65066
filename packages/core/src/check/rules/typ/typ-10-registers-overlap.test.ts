import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const type = (base: string, count = 1) => ({ base, count });
const values = (first: string, second: string, offset: number) => {
  const items = {
    k1: { name: 'Level', type: type(first), offset: { bits: 0 } },
    k2: { name: 'Flow', type: type(second), offset: { bits: offset } },
  };
  return edited(
    twoStations(),
    ['lane', 'lane', 'items', { k1: { order: 10 }, k2: { order: 20 } }],
    ['claim', 'ca', 'items', items],
    ['claim', 'cb', 'items', items],
  );
};

test('a REAL at register 56 takes 56 and 57 [common practice]: the next value may begin at 58', () => {
  expect(codesOf(values('REAL', 'REAL', 32))).toEqual([]);
  expect(codesOf(values('REAL', 'REAL', 16))).toEqual(['TYP 10']);
  const words = wordsOf(theFinding(values('REAL', 'INT', 16), 'TYP 10'));
  expect(words).toContain('Level of A takes 2 registers, and Flow begins inside them');
});

test('a BOOL inside a whole number is one of its bits; whatever else lies on one place is POS 9', () => {
  expect(codesOf(values('DINT', 'BOOL', 16))).toEqual([]);
  for (const second of ['WORD', 'INT']) expect(codesOf(values('INT', second, 0))).toEqual(['POS 9', 'POS 9']);
  expect(codesOf(values('DINT', 'WORD', 16))).toEqual(['POS 9', 'POS 9']);
});

test('a REAL taken as one register is one finding, also where the lengths differ because of it', () => {
  const single = edited(twoStations(), ['claim', 'ca', 'type', type('REAL')], ['claim', 'cb', 'type', type('INT')]);
  expect(codesOf(single)).toEqual(['TYP 10']);
  const shorter = edited(
    single,
    ['claim', 'ca', 'length', { count: 2, unit: 16 }],
    ['claim', 'cb', 'length', { count: 1, unit: 16 }],
  );
  expect(codesOf(shorter)).toEqual(['TYP 10']);
  expect(wordsOf(theFinding(shorter, 'TYP 10'))).toContain('REAL at A, INT at B');
});

test('as many registers as the value has are no fault: their order is not known', () => {
  const project = edited(
    twoStations(),
    ['claim', 'ca', 'type', type('REAL')],
    ['claim', 'cb', 'type', type('WORD', 2)],
  );
  expect(codesOf(project)).toEqual([]);
});
