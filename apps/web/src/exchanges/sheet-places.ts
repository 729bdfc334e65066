import type { Cell } from '@dialoga/core/finding';
import type { End, Project } from '@dialoga/core/model';
import { SHEET_COLUMNS, type SheetColumn } from '@dialoga/core/sheet';
import type { CellAt } from '../grid/types';
import { DIFFERENCE_COLUMN, LEFT_START, RIGHT_START } from './sheet-grid-rows';

/** The lane that a cell belongs to. */
export function laneOfCell(project: Project, cell: Cell): string | null {
  if (cell.kind === 'lane') return cell.id;
  return cell.kind === 'claim' ? (project.get('claim', cell.id)?.lane ?? null) : null;
}

const PATH_COLUMNS: Record<string, SheetColumn> = {
  name: 'name',
  direction: 'direction',
  place: 'address',
  toldPlace: 'address',
  offset: 'address',
  length: 'length',
  header: 'length',
  type: 'type',
  swap: 'type',
  slot: 'name',
  trigger: 'name',
  unit: 'area',
  open: 'direction',
};

/** The row and column of the grid that show a cell. */
export function gridPlace(
  cell: Cell,
  left: End,
  right: End,
  claimOf: (id: string) => { lane: string; end: string } | undefined,
): CellAt | null {
  const start = (end: string) => (end === left.id ? LEFT_START : end === right.id ? RIGHT_START : null);
  if (cell.kind === 'lane') return { row: `lane:${cell.id}`, column: start(cell.path[1] ?? '') ?? LEFT_START };
  const claim = cell.kind === 'claim' ? claimOf(cell.id) : undefined;
  const first = claim && start(claim.end);
  if (!claim || first === null || first === undefined) return null;
  const [head = 'name', key = '', field = 'name'] = cell.path;
  if (head === 'items') {
    return { row: `item:${claim.lane}:${key}`, column: first + SHEET_COLUMNS.indexOf(PATH_COLUMNS[field] ?? 'name') };
  }
  const second = head === 'trigger' || Object.values(SECOND_PATHS).includes(head);
  return {
    row: `${second ? 'second' : 'lane'}:${claim.lane}`,
    column: first + SHEET_COLUMNS.indexOf(PATH_COLUMNS[head] ?? 'name'),
  };
}

const COLUMN_PATHS: Record<SheetColumn, string> = {
  name: 'name',
  direction: 'direction',
  area: 'place',
  address: 'place',
  length: 'length',
  type: 'type',
};

/** What stands on the second line under a column; under the name of a lane that has no slots, its trigger. */
const SECOND_PATHS: Partial<Record<SheetColumn, string>> = {
  name: 'slot',
  direction: 'open',
  address: 'toldPlace',
  length: 'header',
  type: 'swap',
};

/** What the address bar names when the cursor is here: the inverse of `gridPlace`. */
export function linkAt(
  row: string,
  column: number,
  left: End,
  right: End,
  claimAt: (lane: string, end: string) => { id: string } | undefined,
  slots: boolean,
): string | null {
  const [kind = '', lane = '', key = ''] = row.split(':');
  const onLeft = column < DIFFERENCE_COLUMN;
  const name = SHEET_COLUMNS[onLeft ? column - LEFT_START : column - RIGHT_START];
  if (!name || !lane || kind === 'difference' || kind.startsWith('new')) return null;
  const end = onLeft ? left.id : right.id;
  const claim = claimAt(lane, end);
  if (!claim) return ['lane', lane, 'claims', end].join(':');
  if (kind === 'item') {
    const field = { address: 'offset', type: 'type', area: 'unit' }[name as string] ?? 'name';
    return ['claim', claim.id, 'items', key, field].join(':');
  }
  const under = name === 'name' && !slots ? 'trigger' : (SECOND_PATHS[name] ?? 'swap');
  const path = kind === 'second' ? under : COLUMN_PATHS[name];
  return ['claim', claim.id, path].join(':');
}
