import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

/** Places are free: nobody has to name the other's, but somebody noted it. */
const noted = (told: string) =>
  edited(
    twoStations(),
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero', source: 'is told by a status' }],
    ['claim', 'ca', 'toldPlace', told],
  );

test('the place itself, or any place that stands in no such ratio, is silent', () => {
  for (const told of ['b200', 'b201', 'b300']) expect(codesOf(noted(told))).toEqual([]);
});

test('byte offset 400 is word 200 [common practice]: twice is named with both', () => {
  const finding = theFinding(noted('b400'), 'SIZ 9');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('A notes b400 for B, which has it at b200: 2 times');
});

test('where places are compared, POS 1 names the factor and this is silent', () => {
  const project = edited(twoStations(), ['claim', 'ca', 'toldPlace', 'b400']);
  expect(codesOf(project)).toEqual(['POS 1']);
  expect(wordsOf(theFinding(project, 'POS 1'))).toContain('2 times, so one end counts other units');
});

test('lengths in such a ratio are one finding, which names the factor', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length', { count: 4, unit: 8 }]);
  expect(codesOf(project)).toEqual(['SIZ 1']);
  expect(wordsOf(theFinding(project, 'SIZ 1'))).toContain('2 times; one end may count other units');
});
