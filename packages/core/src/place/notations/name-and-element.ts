import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';
import { squeezed } from '../../text/read.js';

/**
 * An array's name and the element: `Data[12]`, `Data[12].3`.
 * [published: IEC 61131-3, array elements are named by a subscript in brackets] [from memory]
 */
export const nameAndElement: Notation = {
  parse(text, view) {
    const name = view.prefix ?? '';
    const match = /^(.*?)\s*\[\s*(\d{1,9})\s*\](?:\.(\d{1,2}))?$/.exec(squeezed(text));
    if (!match || match[1]!.toLowerCase() !== name.toLowerCase()) return null;
    const number = Number(match[2]);
    if (number < view.first) return `${text} lies before the first, ${name}[${view.first}]`;
    const bit = readBit(text, match[3], view);
    return typeof bit === 'string' ? bit : { number, ...bit };
  },
  format: (spot, view) => `${view.prefix ?? ''}[${spot.number}]${writeBit(spot.bit)}`,
  example: (view) => `${view.prefix ?? ''}[${view.first + 2}]`,
};
