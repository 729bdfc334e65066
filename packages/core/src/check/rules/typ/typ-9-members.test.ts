import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const items = (offsets: Record<string, number>, prefix: string) =>
  Object.fromEntries(
    Object.entries(offsets).map(([key, bits]) => [
      key,
      { name: prefix + key, type: { base: 'REAL', count: 1 }, offset: { bits } },
    ]),
  );
const both = (a: Record<string, number>, b: Record<string, number>) =>
  edited(
    twoStations(),
    ['lane', 'lane', 'items', { k1: { order: 10 }, k2: { order: 20 } }],
    ['claim', 'ca', 'items', items(a, 'Left')],
    ['claim', 'cb', 'items', items(b, 'Right')],
  );

test('the same values in the same order are silent', () => {
  expect(codesOf(both({ k1: 0, k2: 32 }, { k1: 0, k2: 32 }))).toEqual([]);
});

test('a value that one end does not know is named', () => {
  expect(wordsOf(theFinding(both({ k1: 0, k2: 32 }, { k1: 0 }), 'TYP 9'))).toContain(
    'Leftk2 of A has no counterpart at B',
  );
  expect(wordsOf(theFinding(both({ k1: 0 }, { k1: 0, k2: 32 }), 'TYP 9'))).toContain(
    'Rightk2 of B has no counterpart at A',
  );
});

test('another order is found with both offsets', () => {
  const project = both({ k1: 0, k2: 32 }, { k1: 32, k2: 0 });
  expect(codesOf(project)).toEqual(['TYP 9', 'TYP 9']);
});
