import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('a block that ends with its area is silent', () => {
  expect(codesOf(edited(twoStations(), ['claim', 'ca', 'place.number', 996]))).toEqual([]);
});

test('one word further is found, with the last address there is', () => {
  const words = wordsOf(theFinding(edited(twoStations(), ['claim', 'ca', 'place.number', 997]), 'SIZ 4'));
  expect(words).toContain('a997–a1000');
  expect(words).toContain('ends at a999');
});
