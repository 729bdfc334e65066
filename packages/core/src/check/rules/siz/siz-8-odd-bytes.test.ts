import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const bytes = (a: number, b = a) =>
  edited(
    twoStations(),
    ['claim', 'ca', 'length', { count: a, unit: 8 }],
    ['claim', 'cb', 'length', { count: b, unit: 8 }],
  );

test('a whole number of words in bytes is silent: 8 bytes are 4 words [common practice]', () => {
  expect(codesOf(bytes(8))).toEqual([]);
});

test('9 bytes in a view that counts words are found at each end, with what is over', () => {
  const project = bytes(9);
  expect(codesOf(project)).toEqual(['SIZ 8', 'SIZ 8']);
  const byteView = edited(project, ['profile', 'pb', 'views.vb.unit', 8]);
  expect(wordsOf(theFinding(byteView, 'SIZ 8'))).toContain('9 bytes of A are no whole number of words');
  expect(wordsOf(theFinding(byteView, 'SIZ 8'))).toContain('1 byte over');
});

test('where the lengths differ, that is the one finding', () => {
  expect(codesOf(bytes(9, 8))).toEqual(['SIZ 1']);
});
