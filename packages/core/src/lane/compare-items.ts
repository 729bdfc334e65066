import { bitNumber, bitWithNumber } from '../data/bit-order.js';
import { arrives, blame, type Blame } from '../data/chain.js';
import { characterBits, numberingUnit, sizeFrom, valuePositions } from '../data/layout.js';
import { convertsWhole } from '../data/convert.js';
import { elementary, type ElementaryType } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Offset, TypeRef } from '../model/claim.js';
import type { Difference, Value } from './difference.js';
import { overlappingValues } from './overlapping-values.js';
import { partsOfBlock } from './parts-of-block.js';
import type { Block, Side } from './side.js';

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
  if (source.block!.chain.carries !== 'values') {
    beyondEnd(source, sink, left, result, source);
    beyondEnd(source, sink, right, result, sink);
  }
  const pair = { left: source, right: sink };
  for (const [side, values] of [[source, left] as const, [sink, right] as const]) {
    const [one, other] = side === source ? [source, sink] : [sink, source];
    for (const { value, neighbour, registers } of overlappingValues(values, side.block!.chain.frame)) {
      const shared = { value, neighbour, left: one, right: other };
      result.differences.push(
        registers ? { code: 'TYP 10', how: 'overlaps', ...shared } : { code: 'POS 9', ...shared },
      );
    }
  }
  if (left.has('') !== right.has('')) {
    againstBlock(source, sink, left, right, result);
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

/** One end has a block of one type, the other says what each of its elements is: position decides which is which. */
function againstBlock(source: Side, sink: Side, left: Values, right: Values, result: ItemComparison): void {
  const { pairs, without, unnamed } = pairedWithBlock(source, sink, left, right);
  for (const [a, b] of pairs) compareValue(source, sink, a, b, result);
  // What the block has and nobody names is missing at the other end; what is named beyond it is extra there.
  const [ofBlock, ofItems] = left.has('') ? (['missing', 'extra'] as const) : (['extra', 'missing'] as const);
  const pair = { left: source, right: sink };
  for (const value of without) result.differences.push({ code: 'TYP 9', how: ofItems, value, ...pair });
  for (const value of unnamed) result.differences.push({ code: 'TYP 9', how: ofBlock, value, ...pair });
}

type Values = ReadonlyMap<string, Value>;

/** Each item with what lies there of the block, the source's first; items without any; elements without an item. */
function pairedWithBlock(source: Side, sink: Side, left: Values, right: Values) {
  const blockIsLeft = left.has('');
  const [blockSide, itemSide] = blockIsLeft ? [source, sink] : [sink, source];
  const parts = partsOfBlock((blockIsLeft ? left : right).get('')!, blockSide.block!, itemSide.block!);
  const pairs: [Value, Value][] = [];
  const without: Value[] = [];
  for (const item of (blockIsLeft ? right : left).values()) {
    const part = parts.at(item);
    if (!part) without.push(item);
    else pairs.push(blockIsLeft ? [part.block, part.item] : [part.item, part.block]);
  }
  return { pairs, without, unnamed: parts.unnamed() };
}

/** The values that both ends have, the source's first: by key, or where one has a block by where they lie in it. */
export function valuePairs(source: Side, sink: Side): [Value, Value][] {
  const [left, right] = [valuesOf(source), valuesOf(sink)];
  if (!left || !right) return [];
  if (left.has('') !== right.has('')) return pairedWithBlock(source, sink, left, right).pairs;
  return [...left].flatMap(([key, a]): [Value, Value][] => {
    const b = right.get(key);
    return b ? [[a, b]] : [];
  });
}

/** A side's values by key; a claim without items is one value under the empty key. Null: something is not known. */
export function valuesOf(side: Side): Map<string, Value> | null {
  const { claim, block } = side;
  const values = new Map<string, Value>();
  if (!block) return null;
  let any = false;
  for (const key in claim.items) {
    any = true;
    const item = claim.items[key]!;
    const type = readable(item.type);
    const offset = readable(item.offset);
    if (!type || !offset || !elementary(type.base)) return null;
    values.set(key, valueAt(block, key, item.name, type, offset));
  }
  if (!any) {
    const type = readable(claim.type);
    if (!type || !elementary(type.base)) return null;
    values.set('', blockValue(block, claim.name, type));
  }
  return values;
}

/** A value with the position at which it begins, counted from the block's origin. */
function valueAt(block: Block, key: string, name: string, type: TypeRef, { bits, bit }: Offset): Value {
  const { chain, located, origin } = block;
  const { frame, first } = chain;
  const payload = located.linear + block.lengthBits - block.payloadBits;
  const unit = numberingUnit(frame);
  if (bit !== undefined) {
    const offset = bits + Math.floor(payload / unit) * unit - origin;
    return { key, name, type, offset, bit, size: sizeIn(block, type, bit) };
  }
  // A BOOL so many bits into a block of single bits, or into a word, is the bit with that number.
  if (type.base === 'BOOL' && unit > 1 && (block.single || bits % 8 !== 0)) {
    return { key, name, type, ...bitWithNumber(frame, first + bits), size: sizeIn(block, type, undefined) };
  }
  return { key, name, type, offset: bits + payload - origin, size: sizeIn(block, type, undefined) };
}

function blockValue(block: Block, name: string, type: TypeRef): Value {
  const { frame, start, first } = block.chain;
  const unit = numberingUnit(frame);
  const base = { key: '', name, type, size: sizeIn(block, type, block.startBit) };
  if (unit > 1 && block.startBit !== undefined) {
    return { ...base, offset: Math.floor(start / unit) * unit, bit: block.startBit };
  }
  return block.single && unit > 1 && type.base === 'BOOL'
    ? { ...base, ...bitWithNumber(frame, first) }
    : { ...base, offset: start };
}

const sizeIn = (block: Block, type: TypeRef, bit: number | undefined): number =>
  block.single && type.base === 'BOOL' ? type.count : sizeFrom(type, bit, block.chain.frame);

function beyondEnd(
  left: Side,
  right: Side,
  values: ReadonlyMap<string, Value>,
  result: ItemComparison,
  side: Side,
): void {
  for (const value of values.values()) {
    const beyond = bitsBeyond(side.block!, value);
    if (beyond > 0) {
      const pair = side === left ? { left, right } : { left: right, right: left };
      result.differences.push({ code: 'SIZ 3', value, beyond, ...pair });
    }
  }
}

/** Bits of a value that lie behind the end of its block, or before its start; 0 where all of it lies inside. */
function bitsBeyond({ single, chain, payloadBits }: Block, value: Value): number {
  if (!single) return value.offset + value.size - chain.start - payloadBits;
  let beyond = 0;
  for (const position of valuePositions(value, chain.frame)) {
    const n = bitNumber(chain.frame, position) - chain.first;
    beyond = Math.max(beyond, n + 1 - payloadBits, -n);
  }
  return beyond;
}

/** A register has no type of its own: it is compared by width, and of longer values its order is not known. */
/** Raw: whatever is in them, they may stand for anything of their length. */
const isRaw = (type: TypeRef) => type.base === 'WORD' || type.base === 'BYTE';

export function compareValue(left: Side, right: Side, a: Value, b: Value, result: ItemComparison): void {
  const pair = { left, right, a, b };
  const { carries } = left.block!.chain;
  if (a.type.base !== b.type.base && differentTypes(pair, result, carries === 'values')) return;
  const [headerA, headerB] = [textLayout(left.block!, a), textLayout(right.block!, b)];
  if (elementary(a.type.base)?.family === 'text' && headerA !== headerB && carries !== 'values') {
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
  const fault = chainFault(left.block!, right.block!, a, b);
  if (!fault) return;
  // Of a value that its lane cuts off, only that it lies elsewhere is a cause of its own.
  if (fault !== 'offset' && (bitsBeyond(left.block!, a) > 0 || bitsBeyond(right.block!, b) > 0)) return;
  if (fault === 'offset') result.differences.push({ code: 'TYP 9', how: 'moved', ...pair });
  else result.differences.push({ code: CODE_OF_BLAME[fault], blame: fault, ...pair });
}

/** How a text lies before and in its characters. */
const textLayout = ({ chain: { frame } }: Block, { type }: Value): string =>
  `${frame.layout.stringHeader}, ${characterBits(type, frame.layout)}`;

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
    const register = isRaw(a.type) ? a : isRaw(b.type) ? b : null;
    const value = register === a ? typeB : typeA;
    const sameSize = typeA.bits * a.type.count === typeB.bits * b.type.count;
    if (register && value.bits > elementary(register.type.base)!.bits && sameSize) {
      const raw = register.type.base === 'WORD' ? 'registers' : 'bytes';
      result.unknown ??= `one end has ${raw} for ${aOrAn(value.name)}, so the order of its ${raw} is not known`;
    } else {
      const single = !carriesValues && a.type.count === b.type.count && takenAsOneRegister(typeA, typeB);
      result.differences.push(single ? { code: 'TYP 10', how: 'one register', ...pair } : { code: 'TYP 1', ...pair });
    }
    return true;
  }
  // A real is no whole number; and of texts, the one has characters of 8 bits and the other of 16.
  const blocks = typeA.family === 'text' || (typeA.family === 'real') !== (typeB.family === 'real');
  result.differences.push({ code: 'TYP 2', blocks, ...pair });
  return blocks;
}

/** `a REAL`, `an INT` */
const aOrAn = (name: string): string => `${/^[AEIOU]/.test(name) ? 'an' : 'a'} ${name}`;

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
  const room = block.payloadBits - value.offset + block.chain.start;
  return room < value.size + 64 ? room : -(block.payloadBits % 64) - 1;
}
