import type { RegisterOrder } from '../model/words.js';
import type { FullLayout } from '../model/layout-defaults.js';
import type { Row } from './linear.js';

type UnitRow = Pick<Row, 'wordBits' | 'highFirst'>;

/**
 * Where a bit lies along the row, counted from the start of its unit. `significance` counts in a unit of `width` bits, 0
 * the least. Units that are longer than a word are several words, in the register order of the layout: bit 17 of a 32-bit
 * element kept high register first lies in the first of its two words.
 */
export function placeInElement(row: UnitRow, layout: FullLayout, width: number, significance: number): number {
  const { wordBits: w } = row;
  if (width <= w) return placeInUnit(row, width, significance);
  const register = registerSignificance(layout.registerOrder, width / w).indexOf(Math.floor(significance / w));
  return register * w + placeInUnit(row, w, significance % w);
}

/** The significance of the bit at this place of a unit of `width` bits; the inverse of `placeInElement`. */
export function significanceInElement(row: UnitRow, layout: FullLayout, width: number, place: number): number {
  const { wordBits: w } = row;
  if (width <= w) return placeInUnit(row, width, place);
  const register = registerSignificance(layout.registerOrder, width / w)[Math.floor(place / w)]!;
  return register * w + placeInUnit(row, w, place % w);
}

/** The same inside one word, or a part of one; its own inverse. */
export function placeInUnit({ highFirst }: UnitRow, unit: number, significance: number): number {
  if (!highFirst || unit <= 8) return significance;
  return (unit / 8 - 1 - (significance >> 3)) * 8 + (significance & 7);
}

/**
 * Which word of a value (0 the least significant) stands at each register, for so many registers.
 * Pairs swapped is a rule for four words; a value of two words then keeps the order that is named first.
 */
export function registerSignificance(order: RegisterOrder, registers: number): number[] {
  const plain = Array.from({ length: registers }, (_, r) => (order.startsWith('high') ? registers - 1 - r : r));
  if (registers < 4 || !order.endsWith('pairs swapped')) return plain;
  return plain.map((own, r) => plain[r ^ 1] ?? own);
}
