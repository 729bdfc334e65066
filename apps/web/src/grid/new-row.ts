import type { GridRow } from './types';

/** The row at the foot of a grid into which something new is typed: in the column `first`, which says what. */
export function newRow(
  columns: number,
  first: number,
  hint: string,
  {
    begin,
    line,
    options,
    id = 'new',
    height = 26,
  }: Pick<GridRow, 'begin' | 'line'> & { options?: readonly string[]; id?: string; height?: number } = {},
): GridRow {
  return {
    id,
    height,
    tone: 'new',
    begin: begin && ((project, column, text) => (column === first ? begin(project, column, text) : null)),
    ...(line ? { line } : {}),
    cells: Array.from({ length: columns }, (_, i) =>
      i === first ? { text: '', show: hint, muted: true, editable: true, ...(options ? { options } : {}) } : null,
    ),
  };
}
