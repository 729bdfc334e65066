import type { View } from '../../model/view.js';

/** Bits that an element of this view has: `.bit` names one of them, from 0. */
export const bitsOfElement = (view: View): number => Math.max(view.unit, 8);

/** The digits after the point as a bit of an element; a string says why there is no such bit. */
export function readBit(text: string, digits: string | undefined, view: View): { bit?: number } | string {
  if (digits === undefined) return {};
  if (view.unit === 1) return `${text} names a bit of a single bit`;
  const bit = Number(digits);
  const bits = bitsOfElement(view);
  return bit < bits ? { bit } : `bit ${bit} in ${text} does not exist; bits are 0 to ${bits - 1}`;
}

export const writeBit = (bit: number | undefined): string => (bit === undefined ? '' : `.${bit}`);
