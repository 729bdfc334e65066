import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('two stations with one name are found once', () => {
  const words = wordsOf(theFinding(edited(twoStations(), ['station', 'sb', 'name', 'a']), 'NAM 2'));
  expect(words).toContain('2 stations are called A');
});

const items = (second: string) =>
  edited(
    twoStations(),
    ['lane', 'lane', 'items', { k1: { order: 10 }, k2: { order: 20 } }],
    ...(['ca', 'cb'] as const).map(
      (id) =>
        [
          'claim',
          id,
          'items',
          {
            k1: { name: id === 'ca' ? 'Door' : 'D1', type: { base: 'REAL', count: 1 }, offset: { bits: 0 } },
            k2: { name: id === 'ca' ? second : 'D2', type: { base: 'REAL', count: 1 }, offset: { bits: 32 } },
          },
        ] as const,
    ),
  );

test('by the station’s own rule of case', () => {
  expect(wordsOf(theFinding(items('door'), 'NAM 2'))).toContain('2 values of A are called Door');
  expect(codesOf(edited(items('door'), ['profile', 'pa', 'nameRule.caseMatters', true]))).toEqual([]);
});
