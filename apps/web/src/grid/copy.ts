import type { At } from './move';
import type { GridRow } from './types';

/** The rectangle between two corners. */
export function rectangle(a: At, b: At) {
  return {
    top: Math.min(a.row, b.row),
    bottom: Math.max(a.row, b.row),
    left: Math.min(a.column, b.column),
    right: Math.max(a.column, b.column),
  };
}

/** Rows of a block that are copied or pasted into: second lines only where nothing but them is chosen. */
export function blockRows(rows: readonly GridRow[], top: number, bottom: number): GridRow[] {
  const chosen = rows.slice(top, bottom + 1).filter((r) => r.tone !== 'difference');
  const main = chosen.filter((r) => r.tone !== 'second');
  return main.length > 0 ? main : chosen;
}

/** Tab-separated text of a block; fields with tabs, quotes or line breaks are quoted as spreadsheets do. */
export function blockText(rows: readonly GridRow[], a: At, b: At): string {
  const { top, bottom, left, right } = rectangle(a, b);
  return blockRows(rows, top, bottom)
    .map((row) => row.cells.slice(left, right + 1).map((cell) => field(cell?.text ?? '')))
    .map((fields) => fields.join('\t'))
    .join('\n');
}

const field = (text: string): string => (/[\t\r\n"]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);
