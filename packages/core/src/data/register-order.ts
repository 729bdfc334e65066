import type { RegisterOrder } from '../model/words.js';

/**
 * Which word of a value (0 the least significant) stands at each register, for so many registers.
 * Pairs swapped is a rule for four words; a value of two words then keeps the order that is named first.
 */
export function registerSignificance(order: RegisterOrder, registers: number): number[] {
  const plain = Array.from({ length: registers }, (_, r) => (order.startsWith('high') ? registers - 1 - r : r));
  if (registers < 4 || !order.endsWith('pairs swapped')) return plain;
  return plain.map((own, r) => plain[r ^ 1] ?? own);
}
