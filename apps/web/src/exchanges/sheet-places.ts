import type { Cell } from '@dialoga/core/finding';
import type { End, Project } from '@dialoga/core/model';
import { columnOf, columnOfValue, SECOND_FIELDS, SHEET_COLUMNS, SHEET_FIELDS } from '@dialoga/core/sheet';
import { cellText } from '../findings/cell-text';
import type { CellAt } from '../grid/types';
import { LEFT_START, RIGHT_START, sheetRowId, type SheetCellRef } from './sheet-cell';

/** The lane that a cell belongs to. */
export function laneOfCell(project: Project, cell: Cell): string | null {
  if (cell.kind === 'lane') return cell.id;
  return cell.kind === 'claim' ? (project.get('claim', cell.id)?.lane ?? null) : null;
}

/** The row and column of the grid that show a cell. */
export function gridPlace(
  cell: Cell,
  left: End,
  right: End,
  claimOf: (id: string) => { lane: string; end: string } | undefined,
): CellAt | null {
  const start = (end: string) => (end === left.id ? LEFT_START : end === right.id ? RIGHT_START : null);
  if (cell.kind === 'lane') {
    return { row: sheetRowId({ of: 'lane', lane: cell.id }), column: start(cell.path[1] ?? '') ?? LEFT_START };
  }
  const claim = cell.kind === 'claim' ? claimOf(cell.id) : undefined;
  const first = claim && start(claim.end);
  if (!claim || first === null || first === undefined) return null;
  const [head = 'name', key = '', field = 'name'] = cell.path;
  if (head === 'items') {
    const row = sheetRowId({ of: 'value', lane: claim.lane, key });
    return { row, column: first + SHEET_COLUMNS.indexOf(columnOfValue(field)) };
  }
  const { column, second } = columnOf(head) ?? { column: 'name' as const, second: false };
  return {
    row: sheetRowId({ of: second ? 'second' : 'lane', lane: claim.lane }),
    column: first + SHEET_COLUMNS.indexOf(column),
  };
}

/** What the address bar names when the cursor is here: the inverse of `gridPlace`. */
export function linkAt(
  { row, end, column, second }: SheetCellRef,
  claimAt: (lane: string, end: string) => { id: string } | undefined,
): string | null {
  if (row.of !== 'lane' && row.of !== 'second' && row.of !== 'value') return null;
  const claim = claimAt(row.lane, end.id);
  if (!claim) return cellText({ kind: 'lane', id: row.lane, path: ['claims', end.id] });
  const named = (...path: string[]) => cellText({ kind: 'claim', id: claim.id, path });
  if (row.of === 'value') return named('items', row.key, SHEET_FIELDS[column].ofValue ?? 'name');
  if (row.of === 'second') return named(SECOND_FIELDS[second ?? 'swap'].path);
  return named(SHEET_FIELDS[column].path);
}
