import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('an area with a writer of its own is silent', () => {
  expect(codesOf(twoStations())).toEqual([]);
});

test('what is sent from where nothing puts data is a Doubt', () => {
  const finding = theFinding(edited(twoStations(), ['area', 'areaa', 'writers', []]), 'POS 5');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('a100–a103 of Memory');
});
