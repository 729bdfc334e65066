import { placeInUnit } from '../data/bit-in-unit.js';
import { bitNumber, bitPosition, bitWithNumber } from '../data/bit-order.js';
import { carriedIndex, type Carriage } from '../data/carry.js';
import { numberingUnit, valuePositions, type Frame } from '../data/layout.js';
import { areaBit } from '../data/linear.js';
import { swapped } from '../data/swap.js';
import type { Offset, Place, TypeRef } from '../model/claim.js';
import type { FullLayout } from '../model/layout-defaults.js';
import type { Carried, Swap } from '../model/words.js';
import { layoutFor, type Memory } from '../place/memory.js';
import { bitOf, locate, type Located } from '../place/resolve.js';
import type { LayoutRule } from '../model/layout-rule.js';

/** A stretch of one station's memory, as whoever moves data there takes it. */
export interface Block {
  memory: Memory;
  place: Place;
  located: Located;
  frame: Frame;
  /** what travels, without the header before it */
  bits: number;
  header: number;
  /** where the payload begins, along the row */
  linear: number;
  /** it begins at a named bit, or does not end with a whole unit of what is carried: so many single bits */
  single: boolean;
  /** along the row: the whole unit that positions of values are counted from */
  origin: number;
  /** the payload's first bit as a number, where bits are counted */
  first: number;
}

/** How the payload of one request or one frame travels. */
export interface Way {
  carries: Carried;
  /** bit by bit, in the order in which each end counts bits */
  counted: boolean;
}

interface Stretch {
  memory: Memory;
  place: Place;
  /** all of it, with the header */
  bits: number;
  header?: number;
  layout?: LayoutRule | null;
  /** how the protocol carries blocks as a rule */
  usual: Carried;
  /** whether its length is counted in bits */
  inBits: boolean;
}

/** The block at a place; null where the place is not of this memory's views. */
export function blockAt({
  memory,
  place,
  bits,
  header: before = 0,
  layout: own,
  usual,
  inBits,
}: Stretch): Block | null {
  const layout = layoutFor(memory, own);
  const located = locate(memory, place, layout);
  if (!located) return null;
  const { row } = located;
  const { unit, wordBits } = row;
  const header = Math.min(bits, before);
  const payload = bits - header;
  const inUnit = unit === 1 ? 1 : Math.min(unit, wordBits);
  const part = unit === 1 ? wordBits : inBits || usual === 'bits' ? inUnit : 8;
  const offUnit = unit > 1 ? header % part !== 0 : (located.linear + header) % part !== 0;
  const single =
    (unit > 1 || usual !== 'bits') && ((unit > 1 && place.bit !== undefined) || offUnit || payload % part !== 0);
  const frame: Frame = { ...row, layout: single && unit > 1 ? bitByBit(layout) : layout };
  const whole = Math.max(inUnit, usual === 'words' ? wordBits : 8, unit === 1 ? wordBits : 0);
  const linear = located.linear + header;
  const origin = Math.floor(linear / whole) * whole;
  const named = place.bit === undefined ? located.linear - origin : bitNumber(frame, located.linear - origin);
  const first = single ? named + header : linear - origin;
  return { memory, place, located, frame, bits: payload, header, linear, single, origin, first };
}

const bitByBit = (layout: FullLayout): FullLayout => ({ ...layout, boolPacking: 'bit' });

const startOf = ({ single, frame, first, linear, origin }: Block): number =>
  single ? bitPosition(frame, first) : linear - origin;

/** The bit of the area at a position along the row, counted from the block's origin. */
const bitAt = ({ located, origin }: Block, position: number): number => areaBit(located.row, origin + position);

/** The bits of the area that the payload takes, as it lies or is counted. */
export function payloadOf(block: Block, counted: boolean): Int32Array {
  const { frame, bits, first } = block;
  const start = startOf(block);
  return Int32Array.from({ length: bits }, (_, n) => bitAt(block, counted ? bitPosition(frame, first + n) : start + n));
}

/**
 * The bits of the area in the order in which they travel, after the swap of whoever sends or takes them: the bit under
 * index n of the one arrives under index n of the other. −1: nothing of the payload travels there.
 */
export function wireOf(block: Block, { carries, counted }: Way, swap: Swap): Int32Array {
  const { frame, bits, first } = block;
  const start = startOf(block);
  const carriage: Carriage = { frame, carries, start, first, counted };
  const unit = carries === 'words' ? 16 : carries === 'bytes' ? 8 : 1;
  const before = unit === 1 || (frame.wordBits === 8 && unit === 16) ? 0 : start % unit;
  const length = bits % unit === 0 ? bits : Math.ceil((before + bits) / unit) * unit;
  const wire = new Int32Array(length).fill(-1);
  for (let n = 0; n < bits; n++) {
    const position = counted ? bitPosition(frame, first + n) : start + n;
    const index = swapped(carriedIndex(carriage, position), swap, length);
    if (index >= 0 && index < length) wire[index] = bitAt(block, position);
  }
  return wire;
}

/** The bits of the area that a value of the block takes: element by element, the least significant first. */
export function valueAt(block: Block, type: TypeRef, offset: Offset | null): Int32Array {
  const positions = valuePositions({ type, ...laidAt(block, type, offset) }, block.frame);
  return positions.map((position) => bitAt(block, position));
}

function laidAt(block: Block, type: TypeRef, offset: Offset | null): { offset: number; bit?: number } {
  const { frame, located, place, linear, origin, single, first } = block;
  const unit = numberingUnit(frame);
  if (offset === null) {
    const start = startOf(block);
    const bit = place.bit === undefined ? undefined : single ? significance(frame, start) : bitOf(located, place);
    if (unit > 1 && bit !== undefined) return { offset: Math.floor(start / unit) * unit, bit };
    return single && unit > 1 && type.base === 'BOOL' ? bitWithNumber(frame, first) : { offset: start };
  }
  if (offset.bit !== undefined) {
    return { offset: offset.bits + Math.floor(linear / unit) * unit - origin, bit: offset.bit };
  }
  if (type.base === 'BOOL' && unit > 1 && (single || offset.bits % 8 !== 0)) {
    return bitWithNumber(frame, first + offset.bits);
  }
  return { offset: offset.bits + linear - origin };
}

const significance = (frame: Frame, position: number): number => {
  const unit = numberingUnit(frame);
  return placeInUnit(frame, unit, position % unit);
};
