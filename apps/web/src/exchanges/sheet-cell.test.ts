import type { End } from '@dialoga/core/model';
import { SHEET_COLUMNS } from '@dialoga/core/sheet';
import {
  COLUMN_COUNT,
  DIFFERENCE_COLUMN,
  keyOfRow,
  laneOfRow,
  LEFT_START,
  RIGHT_START,
  sheetCellAt,
  sheetRowId,
  type SheetGridRow,
  type SheetRowRef,
} from './sheet-cell';

const [left, right] = [{ id: 'left' } as End, { id: 'right' } as End];
const pages = { left, right, kind: 'peer connection' as const };
const ROWS: SheetRowRef[] = [
  { of: 'lane', lane: 'a' },
  { of: 'second', lane: 'a' },
  { of: 'value', lane: 'a', key: 'b' },
  { of: 'reason', lane: 'a' },
  { of: 'difference', finding: 'SIZ 1 a' },
  { of: 'new value', lane: 'a' },
  { of: 'new lane' },
];
const rows = ROWS.map((sheet): SheetGridRow => ({ id: sheetRowId(sheet), height: 22, cells: [], sheet }));

test('rows are told apart, whatever their lane or value is called', () => {
  expect(new Set(rows.map(({ id }) => id)).size).toBe(ROWS.length);
});

test('every column but the number and the difference belongs to a page, in one order on both', () => {
  const at = (column: number) => sheetCellAt(rows, { row: rows[0]!.id, column }, pages);
  SHEET_COLUMNS.forEach((column, i) => {
    expect(at(LEFT_START + i)).toMatchObject({ end: left, column, second: null });
    expect(at(RIGHT_START + i)).toMatchObject({ end: right, column, second: null });
  });
  expect([at(0), at(DIFFERENCE_COLUMN), at(COLUMN_COUNT)]).toEqual([null, null, null]);
});

test('only a second line has second-line columns, and a row that is gone is no cell', () => {
  const second = SHEET_COLUMNS.map((_, i) => sheetCellAt(rows, { row: rows[1]!.id, column: LEFT_START + i }, pages));
  expect(second.some((cell) => cell?.second)).toBe(true);
  expect(sheetCellAt(rows, { row: 'lane:gone', column: LEFT_START }, pages)).toBeNull();
});

test('what a row is of', () => {
  expect(ROWS.map(laneOfRow)).toEqual(['a', 'a', 'a', 'a', null, 'a', null]);
  expect(ROWS.map(keyOfRow)).toEqual([null, null, 'b', null, null, null, null]);
});
