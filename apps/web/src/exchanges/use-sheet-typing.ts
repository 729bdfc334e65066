import { laneName } from '@dialoga/core/lane';
import { childrenOf, type Exchange, type Project } from '@dialoga/core/model';
import {
  addressAfter,
  editSheet,
  fillLanes,
  fillValues,
  pasteItems,
  pasteLanes,
  pastePages,
  SHEET_COLUMNS,
  splitBlock,
  splitPages,
  type Filled,
  type SheetEdit,
} from '@dialoga/core/sheet';
import { newId } from '../api/new-id';
import type { ClipboardBlock } from '../grid/clipboard-block';
import type { CellAt, CellEdit, Judged } from '../grid/types';
import { foresee } from '../store/foreseeing';
import { edit } from '../store/editing';
import { projectSlice } from '../store/project-slice';
import { useAppDispatch } from '../store/store';
import { pasteWords } from './paste-words';
import { claimAt } from './use-sheet-keys';
import {
  keyOfRow,
  laneOfRow,
  sheetCellAt,
  type Pages,
  type SheetCellRef,
  type SheetGridRow,
  type SheetRowRef,
} from './sheet-cell';

/** More lines than that are hardly meant, and would be one change set too large to send. */
const MOST_PASTED = 20_000;

/** What filling down from a row would do. */
export interface FillFrom {
  from: string;
  what: 'Values' | 'Lanes';
  plan: (count: number) => Filled | null;
}

interface SheetOf {
  project: Project;
  exchange: Exchange;
  pages: Pages;
  rows: readonly SheetGridRow[];
}

/** Rows that are no part of the plan's lists. */
const NO_PASTE: readonly SheetRowRef['of'][] = ['difference', 'reason', 'now'];

/** What typing, pasting and filling do on the two-ended sheet. */
export function useSheetTyping(
  { project, exchange, pages, rows }: SheetOf,
  onMade: (lane: string, key: string | null, at: CellAt) => void,
) {
  const dispatch = useAppDispatch();
  const say = (sentence: string) => dispatch(projectSlice.actions.noticed(sentence));
  const cellOf = (at: CellAt) => sheetCellAt(rows, at, pages);

  function onEdit(edits: CellEdit[]) {
    const cells = edits.flatMap((typed) => {
      const cell = cellOf(typed);
      return cell ? [{ cell, typed }] : [];
    });
    const [first] = cells;
    const fresh =
      cells.length === 1 && first && (first.cell.row.of === 'new lane' || first.cell.row.of === 'new value');
    if (!first || (fresh && first.typed.text.trim() === '')) return;
    const result = editSheet(
      project,
      cells.map(({ cell, typed }) => sheetEdit(cell, typed.text)),
      newId,
    );
    dispatch(edit(`Edit ${exchange.name}`, result.changes));
    if (result.problems.length > 0) say(result.problems.join(' · '));
    if (fresh && result.lane) onMade(result.lane, result.key, first.typed);
  }

  /** Why a text cannot stand in a cell as it is; null: it can. */
  function judge(at: CellAt, text: string): Judged {
    const cell = cellOf(at);
    if (!cell) return null;
    const { problems, changes } = editSheet(project, [sheetEdit(cell, text)], newId);
    return problems[0] ?? foresee(changes);
  }

  function onPaste(at: CellAt, { text, merged }: ClipboardBlock) {
    const block = splitBlock(text);
    if (block.length > MOST_PASTED) {
      const [lines, most] = [block.length, MOST_PASTED].map((n) => n.toLocaleString('en-GB'));
      say(`The block has ${lines} lines; at most ${most} can be pasted at once. Nothing was changed.`);
      return;
    }
    const cell = cellOf(at);
    if (cell?.row.of === 'second') onEdit([{ ...at, text: block[0]?.[0] ?? '' }]);
    if (!cell || cell.row.of === 'second' || NO_PASTE.includes(cell.row.of)) return;
    const start = SHEET_COLUMNS.indexOf(cell.column);
    const id = laneOfRow(cell.row);
    const lane = project.get('lane', id ?? '');
    const values = cell.row.of === 'value' || cell.row.of === 'new value';
    const both = !values && start === 0 && cell.end.id === pages.left.id;
    const shown = [pages.left, pages.right];
    const others = childrenOf(project, 'end', exchange.id).filter(({ id }) => !shown.some((end) => end.id === id));
    // As many pages as it has ends, or the two that are shown.
    const [of] = [[...shown, ...others], shown].flatMap((ends) => {
      const split = both ? splitPages(project, ends, block) : null;
      return split ? [{ ends, split }] : [];
    });
    const pasted = of
      ? pastePages(project, of.ends, id, of.split, newId)
      : values && lane
        ? pasteItems(project, cell.end, lane, { key: keyOfRow(cell.row), column: start }, block, newId)
        : pasteLanes(project, cell.end, { lane: id, column: start }, block, newId);
    const what = values && lane ? 'values' : 'lanes';
    if (dispatch(edit(`Paste ${pasted.count} ${what}`, pasted.changes))) return;
    say(pasteWords(pasted, what, block, merged));
    // Where lanes were made, the first of them: the other list is pasted beside it.
    const made = pasted.changes.find(
      ({ kind, path, before }) => kind === 'lane' && path.length === 0 && before === undefined,
    );
    if (made && cell.row.of === 'new lane') onMade(made.id, null, { row: at.row, column: at.column - 1 });
  }

  /** The address `n` rows further than this cell; null where it holds none. */
  function fillText(at: CellAt, n: number): string | null {
    const cell = cellOf(at);
    const claim = cell && claimAt(project, laneOfRow(cell.row) ?? '', cell.end);
    if (!claim || cell.column !== 'address' || cell.row.of === 'second') return null;
    return addressAfter(project, cell.end, claim, keyOfRow(cell.row), n);
  }

  /** What filling down from a row would do, or null where the row is none to fill from. */
  function fillFrom(at: CellAt): FillFrom | null {
    const cell = cellOf(at);
    if (cell?.row.of !== 'lane' && cell?.row.of !== 'value') return null;
    const { row, end } = cell;
    const lane = project.get('lane', row.lane);
    const claim = claimAt(project, row.lane, end);
    if (!lane || !claim) return null;
    if (row.of !== 'value') {
      const plan = (count: number) => fillLanes(project, end, claim, count, newId);
      return { from: claim.name || laneName(project, lane) || 'this row', what: 'Lanes', plan };
    }
    const plan = (count: number) => fillValues(project, lane, claim, row.key, count, newId);
    return { from: claim.items[row.key]?.name || 'this row', what: 'Values', plan };
  }

  return { onEdit, judge, onPaste, fillText, fillFrom };
}

/** A typed text as an edit of the sheet. */
function sheetEdit({ row, end, column, second }: SheetCellRef, text: string): SheetEdit {
  const base = { end, column: second ?? column, text, lane: laneOfRow(row) };
  if (row.of === 'new value') return { ...base, key: null };
  return row.of === 'value' ? { ...base, key: row.key } : base;
}
