import type { End } from '@dialoga/core/model';
import { SHEET_COLUMNS } from '@dialoga/core/sheet';
import type { LinkView } from '../api/client';
import type { GridCell } from '../grid/types';
import { ageWords } from '../words/age';
import { COLUMN_COUNT, DIFFERENCE_COLUMN, LEFT_START, RIGHT_START, sheetRowId, type SheetGridRow } from './sheet-cell';

const ADDRESS = SHEET_COLUMNS.indexOf('address');
const LAST = SHEET_COLUMNS.length - 1;

/** The rows of a sheet with, under each lane, its values as each end has them now. */
export function withNow(
  rows: readonly SheetGridRow[],
  links: readonly LinkView[],
  { left, right }: { left: End; right: End },
): SheetGridRow[] {
  const shown = links.filter(
    ({ sourceEnd, sinkEnd }) =>
      (sourceEnd === left.id && sinkEnd === right.id) || (sourceEnd === right.id && sinkEnd === left.id),
  );
  return rows.flatMap((row) => {
    const { sheet } = row;
    if (sheet.of !== 'second') return [row];
    const own = shown.filter(({ lane }) => lane === sheet.lane);
    return [row, ...own.flatMap((link) => nowRows(link, link.sourceEnd === left.id))];
  });
}

function nowRows(link: LinkView, fromLeft: boolean): SheetGridRow[] {
  return link.values.map(({ key, source, sink, sent, has }) => {
    const sheet = { of: 'now', link: link.id, key } as const;
    const cells: (GridCell | null)[] = Array.from({ length: COLUMN_COUNT }, () => null);
    const page = (start: number, name: string, text: string, rest: Partial<GridCell>) => {
      cells[start] = { text: name, muted: true };
      cells[start + ADDRESS] = { text, mono: true, through: start + LAST, ...rest };
    };
    const sends: Partial<GridCell> = { editable: true };
    const takes: Partial<GridCell> = { differs: link.stopped !== null && has !== sent };
    page(LEFT_START, fromLeft ? source : sink, fromLeft ? sent : has, fromLeft ? sends : takes);
    page(RIGHT_START, fromLeft ? sink : source, fromLeft ? has : sent, fromLeft ? takes : sends);
    const age = link.age === null ? 'never came' : ageWords(link.age);
    const kept = link.sinkHas.startsWith('at ') ? link.sinkHas : 'held';
    cells[DIFFERENCE_COLUMN] = {
      text: link.stopped === null || link.age === null ? age : `${kept}, ${age}`,
      muted: true,
    };
    return { id: sheetRowId(sheet), sheet, height: 20, tone: 'second', cells };
  });
}
