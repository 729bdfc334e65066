import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('an area in which a program may use the data is silent', () => {
  expect(codesOf(twoStations())).toEqual([]);
});

test('what is put where nobody reads it is a Hint', () => {
  const finding = theFinding(edited(twoStations(), ['area', 'areab', 'writers', []]), 'POS 6');
  expect(finding.severity).toBe('hint');
  expect(wordsOf(finding)).toContain('b200–b203 of Memory');
});
