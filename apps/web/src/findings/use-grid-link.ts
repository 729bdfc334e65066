import type { Cell } from '@dialoga/core/finding';
import { useLocation } from 'react-router';
import type { CellAt, GoTo, GridRow } from '../grid/types';
import { isStillThere, useOwnPlace } from '../page/use-own-place';
import { cellText } from './cell-text';
import { cellFromLink } from './link';

/** How far a path leads along another; -1 where it leads elsewhere. */
const along = (path: readonly string[], whole: readonly string[]): number =>
  path.length <= whole.length && path.every((key, i) => key === whole[i]) ? path.length : -1;

/** The cell of a table that shows what a link names; `strict`: other tables show the other fields. */
export function placeOf(cell: Cell, rows: readonly GridRow[], strict: boolean): CellAt | null {
  let best: { row: GridRow; rest: readonly string[] } | null = null;
  for (const row of rows) {
    const { of } = row;
    if (!of || of.kind !== cell.kind || of.id !== cell.id || along(of.path, cell.path) < 0) continue;
    const rest = cell.path.slice(of.path.length);
    if (!best || rest.length < best.rest.length) best = { row, rest };
  }
  if (!best) return null;
  const { row, rest } = best;
  const paths = row.paths ?? [];
  const fits = paths.map((path) => (path ? Math.max(along(path, rest), along(rest, path)) : -1));
  const column = rest.length === 0 ? -1 : fits.indexOf(Math.max(1, ...fits));
  if (column < 0 && strict && rest.length > 0) return null;
  const first = paths.findIndex((path) => path !== null);
  return { row: row.id, column: column < 0 ? Math.max(0, first) : column };
}

/** What the address bar names when the cursor is here; null where nothing is to be named. */
export function linkOf(at: CellAt, rows: readonly GridRow[]): string | null {
  const row = rows.find(({ id }) => id === at.row);
  if (!row?.of) return null;
  const path = row.paths?.[at.column] ?? row.paths?.find((one) => one !== null) ?? [];
  return cellText({ ...row.of, path: [...row.of.path, ...path] });
}

/** A grid's cursor and the address bar: it goes to the cell that a link names, and names the cell that it is on. */
export function useGridLink(): (
  rows: readonly GridRow[],
  strict?: boolean,
  leaves?: (cell: Cell) => boolean,
) => { goTo: GoTo | null; onCursor: (at: CellAt) => void } {
  const [search, nameHere] = useOwnPlace();
  const { key, state } = useLocation();
  const cell = cellFromLink(search);
  const own = (state as { own?: boolean } | null)?.own === true;
  return (rows, strict = false, leaves) => {
    const place = cell && !own && !leaves?.(cell) ? placeOf(cell, rows, strict) : null;
    return {
      goTo: place ? { ...place, token: key } : null,
      onCursor: (at) => {
        const link = linkOf(at, rows);
        if (link === search.get('at') || !isStillThere(search)) return;
        const next = new URLSearchParams(search);
        if (link) next.set('at', link);
        else next.delete('at');
        nameHere(next);
      },
    };
  };
}
