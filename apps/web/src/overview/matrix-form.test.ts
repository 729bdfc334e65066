import type { Matrix } from '@dialoga/core/overview';
import { isListed } from './matrix-form';

const matrix = (sources: number, sinks: number, cells: number): Matrix =>
  ({ sources: Array(sources).fill({}), sinks: Array(sinks).fill({}), cells: Array(cells).fill({}) }) as Matrix;

test.each([
  ['few stations', matrix(4, 4, 2), false],
  ['more, well filled', matrix(20, 20, 80), false],
  ['more, mostly empty', matrix(20, 20, 30), true],
  ['above thirty, however filled', matrix(31, 10, 310), true],
])('%s', (_, given, listed) => {
  expect(isListed(given)).toBe(listed);
});
