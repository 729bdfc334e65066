import type { View } from '../../model/view.js';
import type { Notation, Spot } from './notation.js';
import type { Unit } from '../../model/words.js';

const WIDTHS: Record<string, Unit> = { X: 1, B: 8, W: 16, D: 32, L: 64 };
const LETTERS = new Map<Unit, string>(Object.entries(WIDTHS).map(([letter, width]) => [width, letter]));
const PATTERN = /^%([IQM])([XBWDL])?(\d{1,9})(?:\.(\d{1,2}))?$/i;

/**
 * Direct addresses of IEC 61131-3: `%`, location I, Q or M, size X B W D L (X may be left out before a bit),
 * number, `.bit`. The number counts bytes, or counts elements of the named size: the view says which, and
 * `%MW10` moves by a factor of two between them. The bit part is 0–7 where bytes are numbered, else up to the
 * element's width. [published: IEC 61131-3, directly represented variables] [from memory]
 */
function iec(numberCounts: 'bytes' | 'elements'): Notation {
  return {
    parse(text, view) {
      const match = PATTERN.exec(text);
      if (!match) return null;
      const [, location = '', letter, digits = '', bitDigits] = match;
      if (location.toUpperCase() !== (view.prefix ?? 'M')) return null;
      const bit = bitDigits === undefined ? undefined : Number(bitDigits);
      const width = WIDTHS[(letter ?? 'X').toUpperCase()] ?? 1;
      const number = Number(digits);
      if (width === 1 && bit === undefined && numberCounts === 'bytes') {
        return `${text} names a bit and has no bit number; write ${text}.0 to ${text}.7`;
      }
      if (width === 1 && numberCounts === 'elements' && bit === undefined) return { number, width };
      const places = numberCounts === 'bytes' ? 8 : width === 1 ? 16 : width;
      if (bit !== undefined && bit >= places)
        return `bit ${bit} in ${text} does not exist; bits are 0 to ${places - 1}`;
      if (bit !== undefined && numberCounts === 'bytes') return { number, width: 1, bit };
      return bit === undefined ? { number, width } : { number, width: width === 1 ? 16 : width, bit };
    },
    format(spot: Spot, view: View) {
      const location = view.prefix ?? 'M';
      const width = spot.width ?? view.unit;
      if (spot.bit === undefined) return `%${location}${LETTERS.get(width) ?? 'B'}${spot.number}`;
      const letter = numberCounts === 'bytes' ? 'X' : (LETTERS.get(width === 1 ? 16 : width) ?? 'W');
      return `%${location}${letter}${spot.number}.${spot.bit}`;
    },
    example: (view) =>
      `%${view.prefix ?? 'M'}${LETTERS.get(view.unit === 1 ? 16 : view.unit) ?? 'W'}${view.first + 100}`,
  };
}

export const iecBytes = iec('bytes');
export const iecElements = iec('elements');
