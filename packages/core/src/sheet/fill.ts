import { formatAddress, placeAlong } from '../place/format-address.js';
import { lengthBits } from '../place/length.js';
import { layoutFor, memoryOf } from '../place/memory.js';
import { locate } from '../place/resolve.js';
import type { Change } from '../change/change.js';
import { entityChanges } from '../change/diff.js';
import { put } from '../change/make.js';
import { sizeInRow } from '../data/layout.js';
import { readable } from '../model/as-typed.js';
import type { Claim, ClaimItem, Offset } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { seriesName } from '../tags/series.js';
import { itemAddress } from './sheet.js';
import { blockOf } from '../lane/side.js';
import { usesBeside } from '../lane/uses-beside.js';

/** What filling down would make: the changes, the last row of it, and what stands in the way, in sentences. */
export interface Filled {
  changes: Change[];
  last: { name: string; address: string };
  clashes: string[];
}

interface Laid {
  /** bits that one value or block takes along the row, in whole units of its view */
  step: number;
  unit: number;
}

/** Where a value would lie `n` places further on: BOOLs by bit numbers, all else by its size. */
function advanced(offset: Offset, n: number, { step, unit }: Laid): Offset {
  if (offset.bit === undefined) return { bits: offset.bits + n * step };
  const bit = offset.bit + n * step;
  return { bits: offset.bits + Math.floor(bit / unit) * unit, bit: bit % unit };
}

/** How much room an item takes at this end; null where its type or place is not filled in. */
function laid(reader: Reader, claim: Claim, item: ClaimItem): Laid | null {
  const place = readable(claim.place);
  const type = readable(item.type);
  const memory = place && memoryOf(reader, place.area);
  const layout = memory && layoutFor(memory, claim.layout);
  const located = memory && layout ? locate(memory, place, layout) : null;
  if (!located || !type || !layout) return null;
  const { unit, wordBits, highFirst, fromBottom } = located.row;
  const size = sizeInRow(type, { unit, wordBits, highFirst, layout, fromBottom });
  const single = readable(item.offset)?.bit !== undefined;
  const whole = Math.min(unit, wordBits);
  return { step: single ? size : Math.ceil(size / whole) * whole, unit: whole };
}

/** The address `n` places after that of a value or, without a key, of a lane; null where that is not known. */
export function addressAfter(reader: Reader, end: End, claim: Claim, key: string | null, n: number): string | null {
  const exchange = reader.get('exchange', end.exchange);
  if (key === null) {
    const block = exchange && blockOf(reader, claim, end, exchange);
    if (!block) return null;
    const { located, memory, place, lengthBits: step } = block;
    const at = placeAlong(located, place, n * step, step);
    return formatAddress(memory, place.width === undefined ? at : { ...at, width: place.width });
  }
  const item = claim.items[key];
  const offset = readable(item?.offset);
  const room = item && laid(reader, claim, item);
  return item && offset && room ? itemAddress(reader, claim, { ...item, offset: advanced(offset, n, room) }) : null;
}

/** Values after one of a lane, so that there are `count` in all: names count on, addresses follow by size. */
export function fillValues(
  reader: Reader,
  lane: Lane,
  claim: Claim,
  key: string,
  count: number,
  newId: () => string,
): Filled | null {
  const item = claim.items[key];
  const offset = readable(item?.offset);
  const room = item && laid(reader, claim, item);
  if (!item || !offset || !room) return null;
  const items = { ...lane.items };
  const own = { ...claim.items };
  const clashes: string[] = [];
  let order = orderAfter(Object.values(lane.items));
  let last = item;
  for (let n = 1; n < count; n++, order += 10) {
    const id = newId();
    last = { name: seriesName(item.name, n), type: item.type, offset: advanced(offset, n, room) };
    for (const other of Object.values(claim.items)) {
      if (other !== item && meet(reader, claim, last, other)) clashes.push(`${last.name} would lie on ${other.name}`);
    }
    items[id] = { order };
    own[id] = last;
  }
  const length = readable(claim.length);
  const end = (readable(last.offset)?.bits ?? 0) + room.step;
  const beyond = length ? end - (lengthBits(length) - (claim.header ?? 0)) : 0;
  if (beyond > 0) clashes.push(`${last.name} would end beyond the lane`);
  return {
    changes: [
      ...entityChanges('lane', lane, { ...lane, items }),
      ...entityChanges('claim', claim, { ...claim, items: own }),
    ],
    last: { name: last.name, address: itemAddress(reader, { ...claim, items: own }, last) },
    clashes,
  };
}

function meet(reader: Reader, claim: Claim, a: ClaimItem, b: ClaimItem): boolean {
  const [from, to] = [readable(a.offset), readable(b.offset)];
  const [own, other] = [laid(reader, claim, a), laid(reader, claim, b)];
  if (!from || !to || !own || !other) return false;
  const [x, y] = [from.bits + (from.bit ?? 0), to.bits + (to.bit ?? 0)];
  return x < y + other.step && y < x + own.step;
}

/** Lanes after one, so that there are `count` in all, filled in at this end: names count on, addresses follow by length. */
export function fillLanes(reader: Reader, end: End, claim: Claim, count: number, newId: () => string): Filled | null {
  const exchange = reader.get('exchange', end.exchange);
  const block = exchange && blockOf(reader, claim, end, exchange);
  if (!exchange || !block) return null;
  const { located, memory, place, lengthBits: step } = block;
  const taken = usesBeside(reader, place.area, new Set([claim.id]));
  const changes: Change[] = [];
  const clashes: string[] = [];
  let last = { name: claim.name, address: formatAddress(memory, place) };
  let order = orderAfter(childrenOf(reader, 'lane', exchange.id));
  for (let n = 1; n < count; n++, order += 10) {
    const at = placeAlong(located, place, n * step, step);
    const lane = { id: newId(), order, exchange: exchange.id, items: {} };
    const next: Claim = {
      ...claim,
      id: newId(),
      lane: lane.id,
      name: seriesName(claim.name, n),
      place: place.width === undefined ? at : { ...at, width: place.width },
      type: Object.keys(claim.items).length > 0 ? null : claim.type,
      items: {},
      toldPlace: null,
    };
    changes.push(put('lane', lane), put('claim', next));
    const spans = blockOf(reader, next, end, exchange)?.spans ?? [];
    last = { name: next.name, address: formatAddress(memory, readable(next.place)!) };
    if (spans.some((s) => s.end > memory.bits)) clashes.push(`${last.address} would lie beyond ${memory.area.name}`);
    for (const other of taken) {
      if (spans.some((s) => other.spans.some((t) => s.start < t.end && t.start < s.end))) {
        clashes.push(`${next.name || last.address} would lie on ${other.name}`);
      }
    }
  }
  return { changes, last, clashes };
}
