import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('two that listen never start', () => {
  const project = edited(twoStations(), ['end', 'ea', 'calling', 'listens']);
  const finding = theFinding(project, 'DIR 6');
  expect(wordsOf(finding)).toContain('A and B both listen');
  expect(codesOf(fixed(project, finding, 1))).toEqual([]);
});

test('two that call find nobody listening', () => {
  expect(wordsOf(theFinding(edited(twoStations(), ['end', 'eb', 'calling', 'calls']), 'DIR 6'))).toContain('both call');
});

test('undecided is a Doubt', () => {
  expect(theFinding(edited(twoStations(), ['end', 'eb', 'calling', null]), 'DIR 6').severity).toBe('doubt');
});
