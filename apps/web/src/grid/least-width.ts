import type { GridColumn } from './types';

/** px that the columns of a grid need at least: rows narrower than that would cut off the last of them. */
export const leastWidth = (columns: readonly Pick<GridColumn, 'track'>[]): number =>
  columns.reduce((sum, { track }) => sum + Number(/(\d+(?:\.\d+)?)px/.exec(track)?.[1] ?? 0), 0);
