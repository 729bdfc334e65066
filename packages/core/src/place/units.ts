import type { Unit } from '../model/words.js';

/** So many units as units of another size; a fraction where they do not come out even. 32 bytes are 16 words. */
export const inUnits = (count: number, from: Unit, to: Unit): number => (count * from) / to;

/** A window of `length` elements that begins at `start`: its last element, and where the next window begins. */
export function windowOf(start: number, length: number): { last: number; next: number } {
  return { last: start + length - 1, next: start + length };
}

/** The units that so many bits take, from `start`: a REAL at register 56 takes 56 and 57. */
export function unitsTaken(start: number, bits: number, unit: Unit): { first: number; last: number } {
  return { first: start, last: start + Math.max(1, Math.ceil(bits / unit)) - 1 };
}
