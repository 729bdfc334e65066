import { childrenOf, type Claim, type End, type Project } from '@dialoga/core/model';
import { laneName } from '@dialoga/core/lane';
import { dropItem } from '@dialoga/core/sheet';
import type { KeyboardEvent } from 'react';
import type { CellAt } from '../grid/types';
import { drop } from '../store/dropping';
import { walk } from '../store/walking';
import { edit } from '../store/editing';
import { useAppDispatch } from '../store/store';
import {
  DIFFERENCE_COLUMN,
  keyOfRow,
  laneOfRow,
  LEFT_START,
  RIGHT_START,
  sheetCellAt,
  type Pages,
  type SheetGridRow,
} from './sheet-cell';
import type { Asked } from './sheet-dialogs';

interface SheetOf {
  project: Project;
  rows: readonly SheetGridRow[];
  pages: Pages;
  toggle: (lane: string) => void;
  /** the cursor goes to a column of the same row, or of the first lane where that row has none on the other page */
  onColumn: (row: string, column: number) => void;
  onAsk: (asked: Asked) => void;
  /** what a row of a lane shows of now is written over; false: it is not rehearsed, or nobody sends there */
  onSet: (row: string, lane: string) => boolean;
}

/** The keys of the two-ended sheet; each says whether it was one of them. */
export function useSheetKeys({ project, rows, pages, toggle, onColumn, onAsk, onSet }: SheetOf) {
  const dispatch = useAppDispatch();
  return (event: KeyboardEvent, at: CellAt): boolean => {
    const row = rows.find(({ id }) => id === at.row)?.sheet;
    const lane = row && laneOfRow(row);
    const across = event.ctrlKey || event.metaKey ? beside(event.key, at.column) : null;
    if (across !== null) {
      onColumn(at.row, across);
      return true;
    }
    if (event.altKey && event.key.toLowerCase() === 's' && row) return onSet(at.row, lane ?? '');
    if (!row || !lane) return false;
    const key = keyOfRow(row);
    const [pressed, ctrl] = [event.key.toLowerCase(), event.ctrlKey || event.metaKey];
    if (event.altKey && pressed === 'w') {
      const found = project.get('lane', lane);
      if (found) dispatch(walk({ lane }, laneName(project, found)));
      return true;
    }
    if (pressed === ' ' && row.of === 'lane' && !event.ctrlKey) toggle(lane);
    else if (pressed === 'delete' && event.ctrlKey) takeOut(lane, key);
    else if (!ctrl || (row.of !== 'lane' && row.of !== 'second' && row.of !== 'value')) return false;
    else if (pressed === 'i') onAsk({ what: 'explain', lane, key });
    else if (pressed === 'g') onAsk({ what: 'give way', lane, key });
    else if (pressed === 'j') follow(lane, key, at);
    else return false;
    return true;
  };

  function takeOut(id: string, key: string | null): void {
    const lane = project.get('lane', id);
    if (key && lane) dispatch(edit('Delete value', dropItem(project, lane, key)));
    else if (lane) dispatch(drop('Delete lane', 'lane', id));
  }

  /** From the page that the cursor is on, or from one that says something of the lane. */
  function follow(lane: string, key: string | null, at: CellAt): void {
    const own = sheetCellAt(rows, at, pages)?.end ?? pages.left;
    const claims = [own, pages.left, pages.right].flatMap((end) => claimAt(project, lane, end) ?? []);
    if (claims[0]) onAsk({ what: 'follow', claim: claims[0].id, key });
  }
}

/** With Ctrl: right to the same column of the right page, left to that of the left one; null where it is there already. */
function beside(key: string, column: number): number | null {
  if (key === 'ArrowRight' && column < DIFFERENCE_COLUMN)
    return Math.max(column, LEFT_START) - LEFT_START + RIGHT_START;
  if (key === 'ArrowLeft' && column > DIFFERENCE_COLUMN) return column - RIGHT_START + LEFT_START;
  return null;
}

/** What an end says of a lane. */
export const claimAt = (project: Project, lane: string, end: End): Claim | undefined =>
  childrenOf(project, 'claim', lane).find((claim) => claim.end === end.id);
