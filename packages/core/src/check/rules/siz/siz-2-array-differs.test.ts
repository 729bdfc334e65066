import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const shorter = () => edited(twoStations(), ['claim', 'cb', 'type', { base: 'REAL', count: 1 }]);

test('another number of elements is found with both types', () => {
  const words = wordsOf(theFinding(shorter(), 'SIZ 2'));
  expect(words).toContain('REAL ×2 at A, REAL at B');
});

test('yields to a length that differs', () => {
  const project = edited(shorter(), ['claim', 'cb', 'length', { count: 2, unit: 16 }]);
  expect(codesOf(project)).toEqual(['SIZ 1']);
});

test('the fix declares it alike', () => {
  expect(codesOf(fixed(shorter(), theFinding(shorter(), 'SIZ 2')))).toEqual([]);
});
