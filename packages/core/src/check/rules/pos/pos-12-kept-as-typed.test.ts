import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('a told place that is no address of the other end is found, with what would be one', () => {
  const words = wordsOf(theFinding(edited(twoStations(), ['claim', 'ca', 'toldPlace', 'DB5']), 'POS 12'));
  expect(words).toContain('A asks for “DB5”, which is no address of B');
  expect(words).toContain('b100');
});

test('an item whose type cannot be read is found and leaves the lane unchecked', () => {
  const project = edited(
    twoStations(),
    ['lane', 'lane', 'items', { k: { order: 10 } }],
    ['claim', 'ca', 'items', { k: { name: 'Level', type: { typed: 'RAEL' }, offset: { bits: 0 } } }],
    ['claim', 'cb', 'items', { k: { name: 'Lvl', type: { base: 'REAL', count: 1 }, offset: { bits: 0 } } }],
  );
  expect(codesOf(project)).toEqual(['POS 12']);
  expect(wordsOf(theFinding(project, 'POS 12'))).toContain('“RAEL” of Level at A cannot be read');
});
