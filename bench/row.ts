/** One line of the table: what was done, how it went, and what was aimed at. */
export interface Row {
  work: string;
  figure: string;
  aim: string;
  met: boolean;
}

/** The middle of some figures. */
export const middle = (figures: readonly number[]): number =>
  [...figures].sort((a, b) => a - b)[Math.floor(figures.length / 2)]!;

/** ms that the work took. */
export function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

export function printed(rows: readonly Row[]): string {
  const width = (text: (row: Row) => string) => Math.max(...rows.map((r) => text(r).length));
  const [a, b] = [width((r) => r.work), width((r) => r.figure)];
  return rows.map((r) => `${r.work.padEnd(a)}  ${r.figure.padEnd(b)}  ${r.aim}${r.met ? '' : '  MISSED'}`).join('\n');
}
