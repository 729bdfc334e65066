import { growingPause } from './growing-pause';

test('what fails again and again is tried less and less often, and never given up', () => {
  const pauses = Array.from({ length: 40 }, (_, i) => growingPause(i + 1));
  expect(pauses.slice(0, 5)).toEqual([2000, 2000, 2000, 2000, 2000]);
  expect(pauses).toEqual([...pauses].sort((a, b) => a - b));
  expect(pauses.at(-1)).toBe(30_000);
});
