import { arrives, blame, type Blame } from '../data/chain.js';
import { sizeFrom } from '../data/layout.js';
import { convertsWhole } from '../data/convert.js';
import { elementary, type ElementaryType } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { TypeRef } from '../model/claim.js';
import type { Difference, Value } from './difference.js';
import { overlappingNeighbour } from './overlapping-values.js';
import { startsInside, type Block, type Side } from './side.js';

export interface ItemComparison {
  differences: Difference[];
  unknown: string | null;
}

/** Compares what two claims say of each value, and whether every bit of it arrives. Left is the source. */
export function compareItems(source: Side, sink: Side): ItemComparison {
  const result: ItemComparison = { differences: [], unknown: null };
  const left = valuesOf(source);
  const right = valuesOf(sink);
  if (!left || !right) {
    result.unknown = 'a type or a place among the items is not filled in';
    return result;
  }
  const inside = [source, sink].find((side) => startsInside(side.block!));
  if (inside) {
    result.unknown = `the block of ${inside.station.name} begins inside a word, so which word a value is in is not known`;
    return result;
  }
  if (source.block!.chain.carries !== 'values') {
    beyondEnd(source, sink, left, result, source);
    beyondEnd(source, sink, right, result, sink);
  }
  const pair = { left: source, right: sink };
  for (const [side, values] of [[source, left] as const, [sink, right] as const]) {
    const [one, other] = side === source ? [source, sink] : [sink, source];
    for (const { value, neighbour } of overlappingNeighbour(values)) {
      result.differences.push({ code: 'TYP 10', how: 'overlaps', value, neighbour, left: one, right: other });
    }
  }
  const blockAgainstItems = left.has('') !== right.has('');
  if (blockAgainstItems) {
    const items = left.has('') ? right : left;
    const whole = (left.has('') ? left : right).get('')!;
    for (const item of items.values()) {
      const counterpart = partOfBlock(whole, item);
      if (!counterpart) {
        result.differences.push({ code: 'TYP 9', how: 'extra', value: item, ...pair });
        continue;
      }
      const [a, b] = left.has('') ? [counterpart, item] : [item, counterpart];
      compareValue(source, sink, a, b, result);
    }
    return result;
  }
  for (const [key, a] of left) {
    const b = right.get(key);
    if (b) compareValue(source, sink, a, b, result);
    else result.differences.push({ code: 'TYP 9', how: 'missing', value: a, ...pair });
  }
  for (const [key, b] of right) {
    if (!left.has(key)) result.differences.push({ code: 'TYP 9', how: 'extra', value: b, ...pair });
  }
  return result;
}

/** A side's values by key; a claim without items is one value under the empty key. Null: something is not known. */
export function valuesOf(side: Side): Map<string, Value> | null {
  const { claim, block } = side;
  const values = new Map<string, Value>();
  if (!block) return null;
  const { frame } = block.chain;
  let any = false;
  for (const key in claim.items) {
    any = true;
    const item = claim.items[key]!;
    const type = readable(item.type);
    const offset = readable(item.offset);
    if (!type || !offset || !elementary(type.base)) return null;
    const size = sizeFrom(type, offset.bit, frame);
    values.set(key, { key, name: item.name, type, offset: offset.bits, bit: offset.bit, size });
  }
  if (!any) {
    const type = readable(claim.type);
    if (!type || !elementary(type.base)) return null;
    const size = sizeFrom(type, block.startBit, frame);
    values.set('', { key: '', name: claim.name, type, offset: 0, bit: block.startBit, size });
  }
  return values;
}

function beyondEnd(left: Side, right: Side, values: Map<string, Value>, result: ItemComparison, side: Side): void {
  for (const value of values.values()) {
    const beyond = value.offset + value.size - side.block!.payloadBits;
    if (beyond > 0) {
      const pair = side === left ? { left, right } : { left: right, right: left };
      result.differences.push({ code: 'SIZ 3', value, beyond, ...pair });
    }
  }
}

/** The elements of a block without items that lie where an item of the other end lies. */
function partOfBlock(whole: Value, item: Value): Value | null {
  const element = whole.size / whole.type.count;
  if (item.offset % element !== 0) return null;
  const count = Math.max(1, Math.round(item.size / element));
  if (item.offset + count * element > whole.size) return null;
  return { ...whole, key: item.key, type: { ...whole.type, count }, offset: item.offset, size: count * element };
}

/** A register has no type of its own: it is compared by width, and of longer values its order is not known. */
const isRegister = (type: TypeRef) => type.base === 'WORD';

function compareValue(left: Side, right: Side, a: Value, b: Value, result: ItemComparison): void {
  const pair = { left, right, a, b };
  const { carries } = left.block!.chain;
  if (a.type.base !== b.type.base && differentTypes(pair, result, carries === 'values')) return;
  const [headerA, headerB] = [textLayout(left.block!), textLayout(right.block!)];
  if (a.type.base === 'STRING' && headerA !== headerB && carries !== 'values') {
    result.differences.push({ code: 'SIZ 6', how: 'header', ...pair });
    return;
  }
  if (a.type.capacity !== b.type.capacity) {
    result.differences.push({ code: 'SIZ 6', how: 'capacity', ...pair });
    result.unknown ??= `the capacities of ${a.name || 'a text'} differ, so what follows its end is not known`;
    return;
  }
  if (a.type.count !== b.type.count) {
    result.differences.push({ code: 'SIZ 2', ...pair });
    return;
  }
  if (carries === 'values') return;
  if (left.block!.payloadBits < a.offset + a.size || right.block!.payloadBits < b.offset + b.size) return;
  const fault = chainFault(left.block!, right.block!, a, b);
  if (!fault) return;
  if (fault === 'offset') result.differences.push({ code: 'TYP 9', how: 'moved', ...pair });
  else result.differences.push({ code: CODE_OF_BLAME[fault], blame: fault, ...pair });
}

/** How a text lies before and in its characters. */
const textLayout = ({ chain }: Block): string => `${chain.frame.layout.stringHeader}, ${chain.frame.layout.characters}`;

const CODE_OF_BLAME = {
  'byte order': 'TYP 3',
  'register order': 'TYP 5',
  packing: 'TYP 6',
  numbering: 'TYP 6',
  swap: 'TYP 4',
} as const;

/** Reports what the types alone say; true where the values need not be looked at further. */
function differentTypes(
  pair: { left: Side; right: Side; a: Value; b: Value },
  result: ItemComparison,
  carriesValues: boolean,
): boolean {
  const { a, b } = pair;
  const typeA = elementary(a.type.base)!;
  const typeB = elementary(b.type.base)!;
  const bothWays = pair.left.claim.direction === 'both';
  if (carriesValues && convertsWhole(typeA, typeB) && (!bothWays || convertsWhole(typeB, typeA))) return false;
  if (typeA.bits !== typeB.bits) {
    const register = isRegister(a.type) ? a : isRegister(b.type) ? b : null;
    const value = register === a ? typeB : typeA;
    const sameSize = typeA.bits * a.type.count === typeB.bits * b.type.count;
    if (register && value.bits > 16 && sameSize) {
      result.unknown ??= `one end has registers for a ${value.name}, so the order of its registers is not known`;
    } else {
      const single = !carriesValues && a.type.count === b.type.count && takenAsOneRegister(typeA, typeB);
      result.differences.push(single ? { code: 'TYP 10', how: 'one register', ...pair } : { code: 'TYP 1', ...pair });
    }
    return true;
  }
  const blocks = (typeA.family === 'real') !== (typeB.family === 'real');
  result.differences.push({ code: 'TYP 2', blocks, ...pair });
  return blocks;
}

/** A value of several registers facing a type of one. */
const takenAsOneRegister = (a: ElementaryType, b: ElementaryType): boolean =>
  Math.min(a.bits, b.bits) === 16 && Math.max(a.bits, b.bits) >= 32;

/** Faults by what they depend on: frames, types, and where in the swap units the value lies. */
const faults = new Map<string, Map<string, Blame | null>>();
const MOST_FRAMES = 2_000;
const MOST_FAULTS = 50_000;

/** The faults between two frames; most lanes have the same as the lane before. */
let last: { left: string; right: string; faults: Map<string, Blame | null> } | null = null;
function faultsBetween(left: string, right: string): Map<string, Blame | null> {
  if (last?.left === left && last.right === right) return last.faults;
  const key = `${left};${right}`;
  let known = faults.get(key);
  if (!known || known.size > MOST_FAULTS) {
    if (faults.size > MOST_FRAMES) faults.clear();
    faults.set(key, (known = new Map()));
  }
  last = { left, right, faults: known };
  return known;
}

function chainFault(left: Block, right: Block, a: Value, b: Value): Blame | null {
  const plain =
    left.frameKey === right.frameKey &&
    a.offset === b.offset &&
    a.bit === b.bit &&
    left.payloadBits === right.payloadBits;
  if (plain) return null;
  const shift = Math.floor(a.offset / 64) * 64;
  const swaps = left.chain.swap !== 'none' || right.chain.swap !== 'none';
  const room = swaps ? `${roomAfter(left, a)},${roomAfter(right, b)}` : '';
  const between = faultsBetween(left.frameKey, right.frameKey);
  const key = `${a.type.base},${b.type.base},${a.type.count},${a.type.capacity ?? 0};${a.offset - shift};${b.offset - a.offset};${a.bit ?? ''},${b.bit ?? ''};${room}`;
  const known = between.get(key);
  if (known !== undefined) return known;
  const args = [left.chain, right.chain, a, b] as const;
  const fault = arrives(...args) ? null : blame(...args);
  between.set(key, fault);
  return fault;
}

/** Bits of the payload after the value begins, as far as the remainder of a swap can reach into it. */
function roomAfter(block: Block, value: Value): number {
  const room = block.payloadBits - value.offset;
  return room < value.size + 64 ? room : -(block.payloadBits % 64) - 1;
}
