import type { Cell } from '@dialoga/core/finding';
import type { Kind } from '@dialoga/core/model';
import { useLocation } from 'react-router';
import { useOwnPlace } from '../page/use-own-place';
import type { CellAt, GoTo } from '../grid/types';
import { cellFromLink } from './link';

/** What a grid shows: entities of one kind, or the entries of a list that they have. */
export interface Shown {
  kind: Kind;
  list?: 'views' | 'reservations' | 'told' | 'members';
  /** the field of each column; null: none that a link names */
  fields: readonly (string | null)[];
  /** other grids show the other fields: a link to one of those leads there */
  onlyThese?: true;
}

/** Entries of a list have rows named `entity entry`. */
function placeOf(cell: Cell, { kind, list, fields, onlyThese }: Shown): CellAt | null {
  if (cell.kind !== kind) return null;
  const [head, key, field] = cell.path;
  const inList =
    head === 'views' || head === 'reservations' || head === 'told' || head === 'members' ? head : undefined;
  if (inList !== list) return null;
  const whole = cell.path.join('.');
  const named = list ? field : fields.includes(whole) ? whole : head;
  const column = fields.indexOf(named ?? null);
  if (column < 0 && onlyThese) return null;
  const first = fields.findIndex((f) => f !== null);
  return { row: list ? `${cell.id} ${key}` : cell.id, column: column < 0 ? first : column };
}

function linkOf({ row, column }: CellAt, { kind, list, fields }: Shown): string | null {
  if (row.startsWith('new')) return null;
  const field = fields[column] ?? fields.find((f) => f !== null) ?? '';
  const [id = '', key = ''] = row.split(' ');
  return [kind, id, ...(list ? [list, key] : []), ...field.split('.')].join(':');
}

/** A grid's cursor and the address bar: it goes to the cell that a link names, and names the cell that it is on. */
export function useGridLink(shown: Shown): { goTo: GoTo | null; onCursor: (at: CellAt) => void } {
  const [search, nameHere] = useOwnPlace();
  const { key, state } = useLocation();
  const cell = cellFromLink(search);
  const own = (state as { own?: boolean } | null)?.own === true;
  const place = cell && !own ? placeOf(cell, shown) : null;
  return {
    goTo: place ? { ...place, token: key } : null,
    onCursor: (at) => {
      const link = linkOf(at, shown);
      if (link === search.get('at')) return;
      const next = new URLSearchParams(search);
      if (link) next.set('at', link);
      else next.delete('at');
      nameHere(next);
    },
  };
}
