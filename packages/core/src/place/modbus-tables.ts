import type { ReferenceTable } from '../model/words.js';

/** What a signal is, seen from the station that has it. */
export type Signal = 'discrete in' | 'discrete out' | 'analogue in' | 'analogue out' | 'counter in';

/** The table in which a signal is usually kept; many devices keep everything in holding registers. [common practice] */
export const USUAL_TABLE: Record<Signal, ReferenceTable> = {
  'discrete in': 'discrete inputs',
  'discrete out': 'coils',
  'analogue in': 'input registers',
  'counter in': 'input registers',
  'analogue out': 'holding registers',
};

/** Items of a table. [published: MODBUS Application Protocol Specification V1.1b3, 4.3] [from memory] */
export const ITEMS_OF_TABLE = 65_536;

/**
 * The protocol address, from 0, of a reference number, from 1. Null outside a table.
 * [published: MODBUS Application Protocol Specification V1.1b3, 4.4] [from memory]
 */
export function protocolAddressOf(reference: number): number | null {
  return Number.isInteger(reference) && reference >= 1 && reference <= ITEMS_OF_TABLE ? reference - 1 : null;
}

/** The reference number of a protocol address. Null outside a table. */
export function referenceOf(address: number): number | null {
  return Number.isInteger(address) && address >= 0 && address < ITEMS_OF_TABLE ? address + 1 : null;
}

/** Where one element of an overlaid memory is, in references of each table. [common practice] */
export interface OverlaidElement {
  /** registers, first and last, in holding and input registers alike */
  registers: [number, number];
  /** coils and discrete inputs, first and last */
  bits: [number, number];
}

/** Element `n`, from 0, of `width` bits (16, 32 or 64) of a memory that four tables overlay. */
export function overlaidElement(n: number, width: 16 | 32 | 64): OverlaidElement {
  const words = width / 16;
  const first = n * words;
  return { registers: [first + 1, first + words], bits: [first * 16 + 1, (first + words) * 16] };
}
