import { oracleRuns, printedSeed } from '../oracle.testing.js';
import { SLIPS } from './catalogue.testing.js';
import { figuresOf, sumOf, tableOf } from './figures.testing.js';

/** Of all slips: how many have to be found, what may be found beside them, how many the first fix has to mend. */
const [LEAST_FOUND, MOST_BESIDE, LEAST_MENDED] = [0.99, 0.1, 0.9];

test('a slip is named at its very cell, with next to nothing beside it, and its first fix takes it back', () => {
  const seed = printedSeed('slips');
  const figures = figuresOf(seed, oracleRuns(2));
  if (process.env.SLIPS_TABLE) process.stdout.write(`${tableOf(figures)}\n`);
  // Not every plant has a cell for each kind.
  expect([...figures.values()].filter((row) => row.made > 0).length).toBeGreaterThan(0.9 * Object.keys(SLIPS).length);
  expect([...figures.values()].flatMap((row) => row.words)).toEqual([]);
  const { made, found, beside, mended } = sumOf(figures);
  const notes = [...figures.values()].flatMap((row) => row.notes);
  const enough = found >= LEAST_FOUND * made && beside < MOST_BESIDE * made && mended >= LEAST_MENDED * made;
  expect(enough ? [] : [`${found} of ${made} found, ${beside} beside, ${mended} mended`, ...notes]).toEqual([]);
  // No kind is missed altogether, and none brings two others each time.
  for (const [kind, row] of figures) {
    expect([kind, row.made === 0 || row.found > 0, row.beside <= 2 * row.made + 2]).toEqual([kind, true, true]);
  }
});
