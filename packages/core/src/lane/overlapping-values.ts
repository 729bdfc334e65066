import { numberingUnit, valuePositions, type Frame } from '../data/layout.js';
import { elementary } from '../data/types.js';
import type { Value } from './difference.js';

/** Two values of one claim that share bits. */
export interface Overlapping {
  value: Value;
  neighbour: Value;
  /** a number of several registers, into which the next number begins */
  registers: boolean;
}

/**
 * Values of one claim that share bits, first to last. A BOOL inside a whole number or a bit string is one of its bits
 * under a name of its own, and no fault; everything else that lies on one place twice is.
 */
export function overlappingValues(values: ReadonlyMap<string, Value>, frame: Frame): Overlapping[] {
  if (values.size < 2 || lieInOrder(values, frame)) return [];
  const sorted = [...values.values()].map((value) => ({ value, ...extent(value, frame) }));
  sorted.sort((a, b) => a.from - b.from);
  const found: Overlapping[] = [];
  const open: typeof sorted = [];
  for (const one of sorted) {
    for (let i = open.length - 1; i >= 0; i--) if (open[i]!.to <= one.from) open.splice(i, 1);
    for (const before of open) {
      const [a, b] = [before.value, one.value];
      if (isBitOf(a, b, frame) || isBitOf(b, a, frame) || !shareBits(a, b, frame)) continue;
      found.push({ value: a, neighbour: b, registers: isNumber(a) && isNumber(b) && (isLong(a) || isLong(b)) });
    }
    open.push(one);
  }
  return found;
}

/** The usual case, seen in one pass: each value begins where those before it have ended, or is another bit of their unit. */
function lieInOrder(values: ReadonlyMap<string, Value>, frame: Frame): boolean {
  const whole = numberingUnit(frame);
  let end = 0;
  let unit = -1;
  let bits = 0n;
  for (const { offset, size, bit, type } of values.values()) {
    if (bit !== undefined && type.base === 'BOOL' && type.count === 1) {
      const own = 1n << BigInt(bit);
      if (offset === unit ? (bits & own) !== 0n : offset < end) return false;
      bits = offset === unit ? bits | own : own;
      unit = offset;
      end = offset + whole;
      continue;
    }
    if (offset < end || bit !== undefined) return false;
    end = offset + (type.base === 'BOOL' ? Math.ceil(size / whole) * whole : size);
    unit = -1;
  }
  return true;
}

/** The run of positions that a value lies in; those of BOOLs need not all be its own. */
function extent(value: Value, frame: Frame): { from: number; to: number } {
  if (value.type.base !== 'BOOL' && value.bit === undefined) {
    return { from: value.offset, to: value.offset + value.size };
  }
  const positions = valuePositions(value, frame);
  return { from: Math.min(...positions), to: Math.max(...positions) + 1 };
}

const needsBits = ({ type, bit }: Value): boolean => type.base === 'BOOL' || bit !== undefined;

function shareBits(a: Value, b: Value, frame: Frame): boolean {
  // Their extents overlap; those of whole values are all their own.
  if (!needsBits(a) && !needsBits(b)) return true;
  const taken = new Set(valuePositions(a, frame));
  return valuePositions(b, frame).some((position) => taken.has(position));
}

const familyOf = (value: Value) => elementary(value.type.base)?.family;
const WHOLE: readonly unknown[] = ['bit string', 'signed', 'unsigned'];

/** Whether this is a BOOL that lies wholly inside that whole number or bit string. */
function isBitOf(bit: Value, whole: Value, frame: Frame): boolean {
  if (bit.type.base !== 'BOOL' || !WHOLE.includes(familyOf(whole))) return false;
  const taken = new Set(valuePositions(whole, frame));
  return valuePositions(bit, frame).every((position) => taken.has(position));
}

const isLong = (value: Value): boolean =>
  (elementary(value.type.base)?.bits ?? 0) >= 32 && familyOf(value) !== 'bit string';

const isNumber = (value: Value): boolean => !['bool', 'bit string', 'text'].includes(familyOf(value) ?? '');
