import { edited, findingsOf, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test.each([
  ['station', 'sa', 'A station has no name'],
  ['network', 'net', 'A network has no name'],
  ['area', 'areaa', 'An area of A has no name'],
  ['exchange', 'x', 'An exchange has no name'],
] as const)('%s without a name', (kind, id, words) => {
  const found = findingsOf(edited(twoStations(), [kind, id, 'name', '  ']));
  expect(found.map((f) => f.code)).toEqual(['NAM 1']);
  expect(wordsOf(found[0]!)).toContain(words);
});
