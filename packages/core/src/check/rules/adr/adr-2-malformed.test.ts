import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test.each([
  ['address', '10.0.0.300', '300 in “10.0.0.300” is above 255'],
  ['address', '10.0.0.01', 'leading zero'],
  ['address', '10,0,0,1', 'with points, not commas'],
  ['mask', '255.0.255.0', 'not contiguous'],
  ['gateway', '10.0.0', 'has 3 parts'],
])('%s %s: %s', (field, typed, words) => {
  expect(wordsOf(theFinding(edited(twoStations(), ['port', 'porta', field, typed]), 'ADR 2'))).toContain(words);
});

test('empty is not yet set, and silent', () => {
  expect(codesOf(edited(twoStations(), ['port', 'porta', 'gateway', '']))).toEqual([]);
});
