import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

test('32 bits against 16 are found with both widths', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'type', { base: 'INT', count: 4 }]);
  const words = wordsOf(theFinding(project, 'TYP 1'));
  // REAL has 32 bits, INT 16. [published: IEC 61131-3, elementary data types] [from memory]
  expect(words).toContain('REAL ×2, 32 bits');
  expect(words).toContain('INT ×4, 16 bits');
});

test('registers facing longer values leave the lane unchecked, not differing', () => {
  expect(codesOf(edited(twoStations(), ['claim', 'cb', 'type', { base: 'WORD', count: 4 }]))).toEqual([]);
});
