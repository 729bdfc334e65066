import { areaBit } from '../data/linear.js';
import { valuePositions } from '../data/layout.js';
import { elementary, type ElementaryType } from '../data/types.js';
import type { Reader } from '../model/project.js';
import { valuesOf } from './compare-items.js';
import type { Value } from './difference.js';
import { sideOf, type Side } from './side.js';

/** One element of a value as it lies in memory: the bits of its area, the least significant first. */
export interface Element {
  value: Value;
  type: ElementaryType;
  /** which of several, from 0 */
  index: number;
  bits: Int32Array;
}

/** The elements of all values of a claim that touch these bits of its area; a text is one element. */
export function elementsIn(side: Side, start: number, end: number): Element[] {
  const { block } = side;
  const values = block && valuesOf(side);
  if (!block || !values) return [];
  const { origin, located, chain } = block;
  return [...values.values()].flatMap((value): Element[] => {
    const type = elementary(value.type.base);
    if (!type) return [];
    const bits = valuePositions(value, chain.frame).map((p) => areaBit(located.row, origin + p));
    const size = type.family === 'text' ? bits.length / value.type.count : type.bits;
    const found: Element[] = [];
    for (let index = 0; index * size < bits.length; index++) {
      const own = bits.subarray(index * size, (index + 1) * size);
      if (own.some((bit) => bit >= start && bit < end)) found.push({ value, type, index, bits: own });
    }
    return found;
  });
}

/** A claim with its end and block, by its id. */
export function sideOfClaim(reader: Reader, id: string): Side | null {
  const claim = reader.get('claim', id);
  const lane = claim && reader.get('lane', claim.lane);
  const exchange = lane && reader.get('exchange', lane.exchange);
  return claim && exchange ? sideOf(reader, claim, exchange) : null;
}

/** What is wrong where one value lies in memory and another is taken from it. */
export type MemoryFault = 'type' | 'order' | 'cut';

/**
 * Whether what was put into memory as `put` is taken out of it as what it is. Registers and bytes without a type may meet
 * anything in whole; a single bit may be one of a number or a word.
 */
export function memoryFault(put: Element, take: Element): MemoryFault | null {
  const [a, b] = [put.type, take.type];
  if (a.family === 'bool' || b.family === 'bool') {
    // A BOOL of its own, or a bit that a word is made of; of a real or a text there are no bits that mean something.
    const other = a.family === 'bool' ? b : a;
    return other.family === 'real' || other.family === 'text' ? 'type' : null;
  }
  const inOrder = sameBits(put.bits, take.bits);
  if (a.family === 'bit string' || b.family === 'bit string') {
    return inOrder || a.bits !== b.bits || a.family === b.family ? null : 'order';
  }
  if (inOrder)
    return (a.family === 'real') === (b.family === 'real') && (a.family === 'text') === (b.family === 'text')
      ? null
      : 'type';
  const bits = new Set(put.bits);
  const all = put.bits.length === take.bits.length && take.bits.every((bit) => bits.has(bit));
  return all ? (a.family === b.family || a.bits === b.bits ? 'order' : 'type') : 'cut';
}

const sameBits = (a: Int32Array, b: Int32Array): boolean => a.length === b.length && a.every((bit, i) => bit === b[i]);
