import { seriesName } from './series.js';

const series = (sample: string, count: number) => Array.from({ length: count }, (_, n) => seriesName(sample, n));

test('by sample: width kept, without leading zeros it grows, first 0 and count 6 ends at 5 [common practice]', () => {
  expect(series('Door_07', 3)).toEqual(['Door_07', 'Door_08', 'Door_09']);
  expect(series('X_9', 2)).toEqual(['X_9', 'X_10']);
  expect(series('X_09', 2)).toEqual(['X_09', 'X_10']);
  expect(series('X_0', 6).at(-1)).toBe('X_5');
  expect(series('Door_01', 20).at(-1)).toBe('Door_20');
});

test('the last digits count, whatever comes after them; without digits it stays', () => {
  expect(seriesName('Dock2_Door_3_open', 1)).toBe('Dock2_Door_4_open');
  expect(seriesName('Level', 3)).toBe('Level');
  expect(seriesName('10.48.10.9', 2)).toBe('10.48.10.11');
});
