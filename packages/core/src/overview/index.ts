/** Who sends what to whom over all exchanges, and what is still to be mended. */
export { endToEndMatrix } from './end-to-end.js';
export type { Matrix, MatrixCell } from './matrix.js';
export { type Overview, overviewOf } from './project-overview.js';
export { lanesThatMove, standingByExchange, type StandingCount } from './standing-counts.js';
