import type { GridRow } from './types';

/** A position by index. */
export interface At {
  row: number;
  column: number;
}

const has = (rows: readonly GridRow[], row: number, column: number): boolean =>
  rows[row]?.cells[column] !== null && rows[row]?.cells[column] !== undefined;

/** The next cell in a direction, passing over places without one; the same where there is none. */
export function step(rows: readonly GridRow[], from: At, dRow: number, dColumn: number): At {
  let { row, column } = from;
  const columns = rows[row]?.cells.length ?? 0;
  for (;;) {
    row += dRow;
    column += dColumn;
    if (row < 0 || row >= rows.length || column < 0 || column >= columns) return from;
    if (has(rows, row, column)) return { row, column };
  }
}

/** The first or last cell of a row. */
export function edge(rows: readonly GridRow[], row: number, last: boolean): At {
  const cells = rows[row]?.cells ?? [];
  const column = last ? cells.findLastIndex((c) => c !== null) : cells.findIndex((c) => c !== null);
  return { row, column: Math.max(0, column) };
}

/** A cell near this place: it, or the nearest to its left or right, or in the rows around. */
export function nearest(rows: readonly GridRow[], at: At): At | null {
  for (let d = 0; d < Math.max(rows.length, 1); d++) {
    for (const row of [at.row - d, at.row + d]) {
      const cells = rows[row]?.cells;
      if (!cells) continue;
      for (let c = 0; c < cells.length; c++) {
        for (const column of [at.column - c, at.column + c]) if (has(rows, row, column)) return { row, column };
      }
    }
  }
  return null;
}
