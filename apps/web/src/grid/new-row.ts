import type { GridRow } from './types';

/** The row at the foot of a grid into which something new is typed. */
export function newRow(columns: number, first: number, hint: string, editable: readonly number[] = [first]): GridRow {
  return {
    id: 'new',
    height: 26,
    tone: 'new',
    cells: Array.from({ length: columns }, (_, i) =>
      editable.includes(i) ? { text: '', show: i === first ? hint : '', muted: true, editable: true } : null,
    ),
  };
}
