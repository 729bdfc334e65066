import { SHEET_FIELDS } from '@dialoga/core/sheet';
import type { GridColumn, GridRow } from '../grid/types';

/** What an address may take of a window: half of what all other columns leave at their narrowest. */
const ROOM = 'max(88px, 50vw - 410px)';

/** Both pages have the same columns in the same order, so that a block copied left pastes right. */
const page = (side: 'left' | 'right', address: number): GridColumn[] => [
  {
    id: `${side} name`,
    title: SHEET_FIELDS.name.title,
    help: SHEET_FIELDS.name.help,
    track: 'minmax(75px, 1fr)',
    fills: 'series',
    names: true,
    page: side === 'right',
  },
  {
    id: `${side} direction`,
    title: SHEET_FIELDS.direction.title,
    help: SHEET_FIELDS.direction.help,
    track: 'minmax(43px, 0.12fr)',
    quiet: true,
  },
  { id: `${side} area`, title: SHEET_FIELDS.area.title, help: SHEET_FIELDS.area.help, track: 'minmax(64px, 0.5fr)' },
  {
    id: `${side} address`,
    title: SHEET_FIELDS.address.title,
    help: SHEET_FIELDS.address.help,
    track: `minmax(min(${address}px, ${ROOM}), 0.7fr)`,
  },
  {
    id: `${side} length`,
    title: SHEET_FIELDS.length.title,
    help: SHEET_FIELDS.length.help,
    track: 'minmax(clamp(70px, 6.2vw, 80px), 0.15fr)',
    right: true,
  },
  { id: `${side} type`, title: SHEET_FIELDS.type.title, help: SHEET_FIELDS.type.help, track: 'minmax(82px, 0.9fr)' },
];
const columns = (left: number, right: number): readonly GridColumn[] => [
  { id: 'number', title: 'Lane', track: '44px', quiet: true },
  ...page('left', left),
  { id: 'difference', title: 'Difference', track: '108px', tone: 'difference' },
  ...page('right', right),
];

const NARROWEST = 88;
/** A long notation has no more room than that: 30 characters. */
const WIDEST = 236;
const CHARACTER = 7.3;
const EDGES = 17;

/** px for the longest of these addresses. */
const roomFor = (rows: readonly GridRow[], column: number): number => {
  let longest = 0;
  for (const { cells } of rows) {
    const cell = cells[column];
    if (!cell || cell.through !== undefined) continue;
    longest = Math.max(longest, typeof cell.show === 'string' ? cell.show.length : cell.text.length);
  }
  return Math.min(WIDEST, Math.max(NARROWEST, Math.ceil(longest * CHARACTER) + EDGES));
};

/** The same columns for the same widths, so that rows need not be drawn anew after each edit. */
const made = new Map<string, readonly GridColumn[]>();

/** The columns for these rows: long notations widen their own at the cost of the tags. */
export function columnsFor(rows: readonly GridRow[], left: number, right: number): readonly GridColumn[] {
  const widths = [roomFor(rows, left), roomFor(rows, right)] as const;
  const key = widths.join(' ');
  const known = made.get(key) ?? columns(...widths);
  made.set(key, known);
  return known;
}
