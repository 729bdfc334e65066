import type { End, ExchangeKind } from '@dialoga/core/model';
import { SHEET_COLUMNS, underColumn, type SecondLineColumn, type SheetColumn } from '@dialoga/core/sheet';
import type { CellAt, GridRow } from '../grid/types';

/** Columns of the grid: a number, the left page, the difference, the right page. */
export const LEFT_START = 1;
export const DIFFERENCE_COLUMN = LEFT_START + SHEET_COLUMNS.length;
export const RIGHT_START = DIFFERENCE_COLUMN + 1;
export const COLUMN_COUNT = RIGHT_START + SHEET_COLUMNS.length;

/** What a row of the two-ended sheet stands for. */
export type SheetRowRef =
  | { of: 'lane' | 'second' | 'new value' | 'reason'; lane: string }
  | { of: 'value'; lane: string; key: string }
  | { of: 'difference'; finding: string }
  /** what a value is now, while it is rehearsed */
  | { of: 'now'; link: string; key: string }
  | { of: 'new lane' };

const ROW_NAMES = {
  lane: 'lane',
  second: 'second',
  value: 'item',
  reason: 'reason',
  difference: 'difference',
  now: 'now',
  'new value': 'newitem',
  'new lane': 'newlane',
} as const;

/** What tells the rows of a sheet from each other; nothing is read out of it again. */
export function sheetRowId(ref: SheetRowRef): string {
  const of = ROW_NAMES[ref.of];
  if (ref.of === 'new lane') return of;
  if (ref.of === 'difference') return `${of}:${ref.finding}`;
  if (ref.of === 'now') return `${of}:${ref.link}:${ref.key}`;
  return ref.of === 'value' ? `${of}:${ref.lane}:${ref.key}` : `${of}:${ref.lane}`;
}

/** A row of the grid, with what it stands for. */
export interface SheetGridRow extends GridRow {
  sheet: SheetRowRef;
}

/** A cell of one of the pages. */
export interface SheetCellRef {
  row: SheetRowRef;
  /** of the page that it is on */
  end: End;
  /** the column of the page; on the second line what stands there */
  column: SheetColumn;
  second: SecondLineColumn | null;
}

export interface Pages {
  left: End;
  right: End;
  /** what stands on the second line depends on it */
  kind: ExchangeKind;
}

/** What a place of the grid is on the sheet; null between the pages, and where there is no such row. */
export function sheetCellAt(rows: readonly SheetGridRow[], at: CellAt, pages: Pages): SheetCellRef | null {
  const row = rows.find(({ id }) => id === at.row)?.sheet;
  const onLeft = at.column < DIFFERENCE_COLUMN;
  const column = SHEET_COLUMNS[at.column - (onLeft ? LEFT_START : RIGHT_START)];
  if (!row || !column) return null;
  const second = row.of === 'second' ? underColumn(column, pages.kind) : null;
  return { row, end: onLeft ? pages.left : pages.right, column, second };
}

/** The lane of a row, where it has one. */
export const laneOfRow = (row: SheetRowRef): string | null => ('lane' in row ? row.lane : null);

/** The value of a row, where it is one. */
export const keyOfRow = (row: SheetRowRef): string | null => (row.of === 'value' ? row.key : null);
