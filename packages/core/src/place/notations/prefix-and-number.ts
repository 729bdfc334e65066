import type { View } from '../../model/view.js';
import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';

const written = (number: number, { digits = 1, radix }: View): string =>
  number
    .toString(radix === 'hexadecimal' ? 16 : 10)
    .toUpperCase()
    .padStart(digits, '0');

/** Letters of the view's own before the number, decimal or hexadecimal, filled up with zeros where the view says so. */
export const prefixAndNumber: Notation = {
  parse(text, view) {
    const prefix = view.prefix ?? '';
    if (text.slice(0, prefix.length).toLowerCase() !== prefix.toLowerCase()) return null;
    const digits = view.radix === 'hexadecimal' ? '[0-9a-f]{1,7}' : '\\d{1,9}';
    const match = new RegExp(`^(${digits})(?:\\.(\\d{1,2}))?$`, 'i').exec(text.slice(prefix.length));
    if (!match) return null;
    const number = parseInt(match[1]!, view.radix === 'hexadecimal' ? 16 : 10);
    if (number < view.first) return `${text} lies before the first, ${prefix}${written(view.first, view)}`;
    const bit = readBit(text, match[2], view);
    return typeof bit === 'string' ? bit : { number, ...bit };
  },
  format: (spot, view) => `${view.prefix ?? ''}${written(spot.number, view)}${writeBit(spot.bit)}`,
  example: (view) => `${view.prefix ?? ''}${written(view.first + 100, view)}`,
};
