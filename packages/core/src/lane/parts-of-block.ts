import { bitWithNumber } from '../data/bit-order.js';
import { numberingUnit, sizeInRow, valuePositions, type Frame, type LaidValue } from '../data/layout.js';
import { elementary } from '../data/types.js';
import type { Value } from './difference.js';
import type { Block } from './side.js';

/** An item and what lies there of a block that is said to be of one type. */
interface Part {
  block: Value;
  item: Value;
}

/** Which elements of a block are which items of another end. */
export interface BlockParts {
  /** the elements at which this item lies; null where the block has none there */
  at(item: Value): Part | null;
  /** elements that no item has named yet, in runs */
  unnamed(): Value[];
}

/**
 * Lays the type of a block without items into the memory of the end that has items, and finds each item by where it lies.
 * A BOOL may be one bit of a bit string: of a word that is carried whole it is the bit with the same significance.
 */
export function partsOfBlock(whole: Value, at: Block, there: Block): BlockParts {
  const type = elementary(whole.type.base)!;
  const bits = type.family === 'text' ? 0 : type.bits;
  const named = new Set<number>();
  const laid = laidIn(there, whole);
  let index: Map<number, number> | null = null;
  const bitAt = (position: number): number | undefined =>
    (index ??= new Map(Array.from(valuePositions(laid, there.chain.frame), (p, i) => [p, i]))).get(position);
  const name = (first: number, count: number) => {
    for (let i = 0; i < count; i++) named.add(first + i);
  };
  const slice = (key: string, first: number, count: number): Value | null =>
    first + count > whole.type.count ? null : { ...elementsOf(whole, first, count, at.chain.frame), key };

  return {
    at(item) {
      const itemType = elementary(item.type.base)!;
      const first = bits > 0 ? bitAt(valuePositions(item, there.chain.frame)[0] ?? -1) : undefined;
      if (first !== undefined && item.type.base === 'BOOL' && type.family === 'bit string') {
        const element = Math.floor(first / bits);
        name(element, Math.ceil(((first % bits) + item.type.count) / bits));
        const inThere = elementsOf({ ...whole, ...laid }, element, 1, there.chain.frame);
        const block = slice(item.key, element, 1);
        return block && { block, item: { ...inThere, key: item.key, name: item.name } };
      }
      const element = bits > 0 && bits === itemType.bits ? elementAt(first, bits) : elementByOffset(item);
      const count = bits > 0 && bits === itemType.bits ? item.type.count : countAt(item);
      const block = element === null ? null : slice(item.key, element, count);
      if (block) name(element!, count);
      return block && { block, item };
    },
    unnamed() {
      const runs: Value[] = [];
      // What is not named of registers or bytes without a type is spare, unless none of it is.
      if (type.family === 'bit string' && named.size > 0) return runs;
      for (let first = 0; first < whole.type.count; first++) {
        if (named.has(first)) continue;
        let count = 1;
        while (first + count < whole.type.count && !named.has(first + count)) count++;
        const run = elementsOf(whole, first, count, at.chain.frame);
        const range = count > 1 ? `${first + 1} to ${first + count}` : `${first + 1}`;
        runs.push({ ...run, name: `element ${range} of ${whole.name || 'the block'}` });
        first += count;
      }
      return runs;
    },
  };

  function elementByOffset(item: Value): number | null {
    const element = whole.size / whole.type.count;
    const from = item.offset - laid.offset;
    return from >= 0 && from % element === 0 ? from / element : null;
  }
  function countAt(item: Value): number {
    return Math.max(1, Math.round((item.size * whole.type.count) / whole.size));
  }
}

const elementAt = (first: number | undefined, bits: number): number | null =>
  first !== undefined && first % bits === 0 ? first / bits : null;

/** The block's type at the start of another end's payload. */
function laidIn(there: Block, { type }: Value): LaidValue {
  const { frame, start, first } = there.chain;
  return type.base === 'BOOL' && there.single ? { type, ...bitWithNumber(frame, first) } : { type, offset: start };
}

/** Some elements of an array. */
function elementsOf(whole: Value, first: number, count: number, frame: Frame): Value {
  const type = { ...whole.type, count };
  if (whole.type.base !== 'BOOL' || frame.unit === 1 || frame.layout.boolPacking !== 'bit') {
    const size = sizeInRow({ ...whole.type, count: 1 }, frame);
    return { ...whole, type, offset: whole.offset + first * size, size: size * count };
  }
  const unit = numberingUnit(frame);
  const numbered = (n: number) => (frame.layout.boolNumbering === 'from the bottom' ? n : unit - 1 - n);
  const number = (whole.bit === undefined ? 0 : numbered(whole.bit)) + first;
  const offset = whole.offset + Math.floor(number / unit) * unit;
  return { ...whole, type, offset, bit: numbered(number % unit), size: count };
}
