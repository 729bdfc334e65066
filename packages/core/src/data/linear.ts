import type { View } from '../model/view.js';
import type { FullLayout } from '../model/layout-defaults.js';

/**
 * A view lays its units in a row. A linear bit index counts along that row: unit × bits per unit + place in the unit.
 * Inside a unit of 16 bits or more, bytes stand in the order of the layout rule, so that the row is also the order of
 * bytes in memory. A byte view has its own order of bytes in a word, a bit view its own numbering of bits.
 */
export interface Row {
  unit: number;
  wordBits: number;
  /** the first byte of a word along the row is its most significant one */
  highFirst: boolean;
  /** for units of one bit: numbered from the least significant bit */
  fromBottom: boolean;
  /** where the row begins in the area, bits; a whole number of words */
  base: number;
}

export function rowOf(view: View, wordBits: number, layout: FullLayout): Row {
  const order = view.unit === 8 ? (view.byteOrder ?? layout.byteOrder) : layout.byteOrder;
  return {
    unit: view.unit,
    wordBits,
    highFirst: order === 'high first',
    fromBottom: (view.bitNumbering ?? 'from the bottom') === 'from the bottom',
    base: view.base ?? 0,
  };
}

/** The bit of the area (word × bits per word + significance) at a linear bit index. */
export function areaBit(row: Row, linear: number): number {
  const { wordBits: w } = row;
  const word = Math.floor(linear / w);
  const inWord = linear - word * w;
  return row.base + word * w + swapInWord(row, inWord);
}

/** The linear bit index of a bit of the area; the inverse of `areaBit`. */
export function linearBit(row: Row, bit: number): number {
  const { wordBits: w } = row;
  const from = bit - row.base;
  const word = Math.floor(from / w);
  return word * w + swapInWord(row, from - word * w);
}

/** Its own inverse: reverses the bits of a word, or its bytes, or nothing. */
function swapInWord(row: Row, inWord: number): number {
  if (row.unit === 1) return row.fromBottom ? inWord : row.wordBits - 1 - inWord;
  if (!row.highFirst || row.wordBits === 8) return inWord;
  const byte = inWord >> 3;
  return ((row.wordBits >> 3) - 1 - byte) * 8 + (inWord & 7);
}
