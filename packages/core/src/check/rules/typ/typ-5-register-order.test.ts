import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const low = () => edited(twoStations(), ['station', 'sb', 'layout', { registerOrder: 'low first' }]);

test('says what a value becomes', () => {
  const words = wordsOf(theFinding(low(), 'TYP 5'));
  // REAL 123.456 is 42 F6 E9 79; E9 79 42 F6 is −1.8833671e+25. [library: Python struct]
  expect(words).toContain('of 123.456 arrives as −1.8833671e+25');
  expect(words).toContain('high register first');
  expect(words).toContain('low register first');
});

test('a swap of registers at either end mends it', () => {
  const finding = theFinding(low(), 'TYP 5');
  expect(codesOf(fixed(low(), finding, 0))).toEqual([]);
  expect(codesOf(fixed(low(), finding, 1))).toEqual([]);
});

test('where no swap suits all values, it says which stand in the way', () => {
  const item = (name: string, base: string, word: number) => ({
    name,
    type: { base, count: 1 },
    offset: { bits: word * 16 },
  });
  const items = { k1: item('Level', 'REAL', 0), k2: item('Mode', 'INT', 2) };
  const project = edited(
    low(),
    ['lane', 'lane', 'items', { k1: { order: 10 }, k2: { order: 20 } }],
    ['claim', 'ca', 'items', items],
    ['claim', 'cb', 'items', items],
  );
  const finding = theFinding(project, 'TYP 5');
  expect(wordsOf(finding)).toContain('No one swap suits all values, Mode would be spoilt');
  expect(() => fixed(project, finding)).toThrow('has no fix');
});
