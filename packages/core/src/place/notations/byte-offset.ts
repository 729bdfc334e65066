import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';

/** An offset from the start of the area, counted in bytes: `byte 3000`, or the bare number. */
export const byteOffset: Notation = {
  parse(text, view) {
    const match = /^(?:byte\s*)?(\d{1,9})(?:\.(\d{1,2}))?$/i.exec(text);
    if (!match) return null;
    const number = Number(match[1]);
    if (number < view.first) return `${text} lies before the first, byte ${view.first}`;
    const bit = readBit(text, match[2], view);
    return typeof bit === 'string' ? bit : { number, ...bit };
  },
  format: (spot) => `byte ${spot.number}${writeBit(spot.bit)}`,
  example: (view) => `byte ${view.first + 100}`,
};
