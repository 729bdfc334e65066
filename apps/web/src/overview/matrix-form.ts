import type { Matrix } from '@dialoga/core/overview';

const MOST_STATIONS = 30;
/** A table of which less than this is filled says less than a list. */
const LEAST_FILLED = 0.1;
/** So few always fit as a table. */
const FEW = 12;

/** Whether the matrix is shown as a list of what is not empty. */
export function isListed({ sources, sinks, cells }: Matrix): boolean {
  const most = Math.max(sources.length, sinks.length);
  if (most <= FEW) return false;
  return most > MOST_STATIONS || cells.length / (sources.length * sinks.length) < LEAST_FILLED;
}
