import { formatAddress, placeAlong } from '../place/format-address.js';
import { placeText } from '../place/place-text.js';
import { placeOf, realPlace } from '../place/tag-place.js';
import { formatBits, formatLength } from '../place/length.js';
import { layoutFor, memoryOf } from '../place/memory.js';
import { locate } from '../place/resolve.js';
import { sizeInRow, type Frame } from '../data/layout.js';
import { elementary, formatType } from '../data/types.js';
import { isTyped, readable, type AsTyped } from '../model/as-typed.js';
import { IN_TAG, type Claim, type ClaimItem } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import { childrenOf, entriesInOrder } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { protocolOf } from '../protocol/catalogue.js';
import { typeText } from '../structure/type-text.js';
import { lengthUnit } from '../lane/length-unit.js';
import { formatLayout } from '../lane/layout-words.js';
import { SWAP_WORDS } from '../lane/swap-words.js';
import type { SecondLineColumn, SheetColumn } from './sheet-fields.js';

export interface SheetCell {
  text: string;
  /** stands as it was typed, because it could not be read */
  unread?: boolean;
  /** worked out from elsewhere; not typed into */
  derived?: boolean;
}

/** One end's half of a row; null where that end says nothing of it. */
export type PageCells = Record<SheetColumn, SheetCell> & Partial<Record<SecondLineColumn, SheetCell>>;

export interface SheetRow {
  kind: 'lane' | 'item';
  lane: string;
  /** of an item */
  key?: string;
  /** of a lane, counted from 1 */
  number?: number;
  left: PageCells | null;
  right: PageCells | null;
}

const cell = (text: string): SheetCell => ({ text });
const typedOr = <T>(value: T | AsTyped | null, format: (value: T) => string): SheetCell =>
  value === null ? cell('') : isTyped(value) ? { text: value.typed, unread: true } : cell(format(value));

/** Whether this end has to name the other's place. */
export function namesOtherPlace(exchange: Exchange, end: End): boolean {
  const named = protocolOf(exchange).places(exchange.transfer) === 'named' || exchange.kind === 'tag map';
  return named && end.calling === 'calls';
}

/** All rows of an exchange between two of its ends: lanes, and the items of those that are open. */
export function sheetRows(
  reader: Reader,
  exchange: Exchange,
  left: End,
  right: End,
  open: ReadonlySet<string>,
): SheetRow[] {
  return sheetLanes(reader, exchange, left, right).flatMap((one) =>
    laneRows(reader, exchange, one, open.has(one.lane.id)),
  );
}

/** One lane of a sheet as its two ends see it. */
export interface SheetLane {
  lane: Lane;
  /** counted from 1 */
  number: number;
  ends: readonly [left: End, right: End];
  claims: readonly [left: Claim | undefined, right: Claim | undefined];
  /** all that its rows are made from: as long as these are the same, so are the rows */
  from: readonly unknown[];
}

/** The lanes of an exchange between two of its ends, in order. */
export function sheetLanes(reader: Reader, exchange: Exchange, left: End, right: End): SheetLane[] {
  return childrenOf(reader, 'lane', exchange.id).map((lane, i): SheetLane => {
    const claims = childrenOf(reader, 'claim', lane.id);
    const [a, b] = [left, right].map((end) => claims.find((c) => c.end === end.id));
    const parts = [a, b].flatMap((claim) => (claim ? [claim, ...placeParts(reader, claim)] : [null]));
    return {
      lane,
      number: i + 1,
      ends: [left, right],
      claims: [a, b],
      from: [lane, exchange, left, right, i, ...parts],
    };
  });
}

/** The rows of one lane: its own, and where it is open those of its values. */
export function laneRows(reader: Reader, exchange: Exchange, sheetLane: SheetLane, open: boolean): SheetRow[] {
  const { lane, number } = sheetLane;
  const cells = (side: 0 | 1, key: string): PageCells | null => {
    const claim = sheetLane.claims[side];
    if (!claim) return null;
    const end = sheetLane.ends[side];
    const from = [...placeParts(reader, claim), exchange, end];
    const make = () => (key === '' ? laneCells(reader, exchange, end, claim) : itemCells(reader, claim, key));
    return cached(claim, key, from, make);
  };
  const rows: SheetRow[] = [{ kind: 'lane', lane: lane.id, number, left: cells(0, ''), right: cells(1, '') }];
  if (!open) return rows;
  for (const [key] of entriesInOrder(lane.items)) {
    rows.push({ kind: 'item', lane: lane.id, key, left: cells(0, key), right: cells(1, key) });
  }
  return rows;
}

/** Cells of a claim, by item key, the lane's own under none; for as long as what they were made from is the same. */
const drawn = new WeakMap<Claim, { from: readonly unknown[]; cells: Map<string, PageCells | null> }>();

/** Hundreds of rows are made anew after each edit; all but a few of them are as they were. */
function cached(claim: Claim, key: string, from: readonly unknown[], make: () => PageCells | null): PageCells | null {
  let known = drawn.get(claim);
  if (!known || known.from.some((value, i) => value !== from[i])) {
    known = { from, cells: new Map() };
    drawn.set(claim, known);
  }
  let cells = known.cells.get(key);
  if (cells === undefined) known.cells.set(key, (cells = make()));
  return cells;
}

/** All that the address of a claim is written by, besides the claim. */
function placeParts(reader: Reader, claim: Claim): readonly unknown[] {
  const typed = readable(claim.place);
  const place = typed && realPlace(reader, typed);
  return [place && memoryOf(reader, place.area), place, typed?.view === IN_TAG ? reader.get('tag', typed.area) : null];
}

function laneCells(reader: Reader, exchange: Exchange, end: End, claim: Claim): PageCells {
  const place = placeOf(reader, claim);
  const memory = place && memoryOf(reader, place.area);
  const cells: PageCells = {
    name: cell(claim.name),
    direction: typedOr(claim.direction, (d) => d),
    area: cell(memory?.area.name ?? ''),
    address: typedOr(claim.place, (p) => placeText(reader, p)),
    length: typedOr(claim.length, formatLength),
    type: typeCell(reader, claim),
    header: cell(claim.header ? formatBits(claim.header, lengthUnit(reader, claim)) : ''),
    layout: cell(formatLayout(claim.layout)),
    trigger: cell(claim.trigger ?? ''),
    swap: cell(claim.swap === null ? (end.swap === 'none' ? '' : SWAP_WORDS[end.swap]) : SWAP_WORDS[claim.swap]),
  };
  if (exchange.kind === 'coupler area') cells.slot = cell(typeof claim.slot === 'number' ? String(claim.slot) : '');
  if (exchange.kind === 'shared variables' && end.calling !== 'calls') cells.open = cell(claim.open ?? '');
  if (exchange.kind === 'tag map' && end.calling !== 'listens') cells.station = cell(claim.toldStation ?? '');
  if (namesOtherPlace(exchange, end) || claim.toldPlace) cells.told = cell(claim.toldPlace ?? '');
  return cells;
}

/** The block's own type, or what its items come to. */
function typeCell(reader: Reader, claim: Claim): SheetCell {
  const own = readable(claim.type);
  if (own?.structure) return cell(typeText(reader, own));
  const items = Object.values(claim.items);
  if (items.length === 0) return typedOr(claim.type, formatType);
  const types = items.map((item) => readable(item.type));
  const [first] = types;
  const same = first && types.every((t) => t?.base === first.base && t.capacity === first.capacity);
  if (!same) return { text: `${items.length} values`, derived: true };
  const count = types.reduce((sum, t) => sum + t!.count, 0);
  return { text: formatType({ ...first, count }), derived: true };
}

function itemCells(reader: Reader, claim: Claim, key: string): PageCells | null {
  const item = claim.items[key];
  if (!item) return null;
  const { size, unit, address } = itemPlace(reader, claim, item);
  return {
    name: cell(item.name),
    direction: { text: '', derived: true },
    area: cell(item.unit ?? ''),
    address: isTyped(item.offset) ? { text: item.offset.typed, unread: true } : cell(address),
    length: { text: size === null ? '' : formatBits(size, unit), derived: true },
    type: typedOr(item.type, formatType),
  };
}

/** BOOLs begin at number 0 of their unit where no bit was named. */
function firstBit({ unit, wordBits, layout }: Frame): number | undefined {
  if (unit === 1) return undefined;
  return layout.boolNumbering === 'from the bottom' ? 0 : Math.min(unit, wordBits) - 1;
}

/** The address of an item of this claim, in the notation of its place; empty where that is not known. */
export const itemAddress = (reader: Reader, claim: Claim, item: ClaimItem): string =>
  itemPlace(reader, claim, item).address;

/** Where an item lies, in the notation of its claim's place. */
function itemPlace(reader: Reader, claim: Claim, item: ClaimItem) {
  const place = placeOf(reader, claim);
  const memory = place && memoryOf(reader, place.area);
  const layout = memory && layoutFor(memory, claim.layout);
  const located = memory && layout && locate(memory, place, layout);
  const type = readable(item.type);
  const offset = readable(item.offset);
  const length = readable(claim.length);
  if (!memory || !layout || !located) {
    const bits = type ? (elementary(type.base)?.bits ?? 0) * type.count : 0;
    return { size: bits > 0 ? bits : null, unit: length?.unit ?? 16, address: '' } as const;
  }
  const { unit, wordBits, highFirst } = located.row;
  const frame: Frame = { unit, wordBits, highFirst, layout, fromBottom: located.row.fromBottom };
  const size = type ? sizeInRow(type, frame) : null;
  const header = claim.header ?? 0;
  const element = type ? (size ?? 0) / type.count : unit;
  const bit = offset?.bit ?? (type?.base === 'BOOL' && layout.boolPacking === 'bit' ? firstBit(frame) : undefined);
  const address = offset ? formatAddress(memory, placeAlong(located, place, header + offset.bits, element, bit)) : '';
  return { size, unit: length?.unit ?? (unit === 1 ? 16 : located.view.unit), address } as const;
}
