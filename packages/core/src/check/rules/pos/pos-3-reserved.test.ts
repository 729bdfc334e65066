import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const reserved = (word: number) =>
  edited(twoStations(), [
    'area',
    'areab',
    'reservations',
    { r: { order: 10, start: word * 16, length: 32, owner: 'its module' } },
  ]);

test('a reservation beside the block is silent', () => {
  expect(codesOf(reserved(204))).toEqual([]);
});

test('a block that runs into one is found with both ranges', () => {
  const words = wordsOf(theFinding(reserved(203), 'POS 3'));
  expect(words).toContain('b200–b203 of B runs into b203–b204, reserved for its module');
});

test('a reservation outside its area is found', () => {
  expect(wordsOf(theFinding(reserved(999), 'POS 3'))).toContain('does not lie in the area');
});
