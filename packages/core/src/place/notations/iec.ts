import type { View } from '../../model/view.js';
import type { Notation, Spot } from './notation.js';
import type { Unit } from '../../model/words.js';

const WIDTHS: Record<string, Unit> = { X: 1, B: 8, W: 16, D: 32, L: 64 };
const LETTERS = new Map<Unit, string>(Object.entries(WIDTHS).map(([letter, width]) => [width, letter]));
const MOST_DIGITS = 9;

interface Parts {
  location: string;
  width: Unit;
  number: number;
  bit: number | undefined;
}

/** `%`, one of I Q M, perhaps one of X B W D L, a number, perhaps `.` and a bit; read by hand, for lists have many. */
function partsOf(text: string): Parts | null {
  if (text.length < 3 || text.charCodeAt(0) !== 37) return null;
  const location = text[1]!.toUpperCase();
  if (location !== 'I' && location !== 'Q' && location !== 'M') return null;
  const width = WIDTHS[text[2]!.toUpperCase()];
  const from = width === undefined ? 2 : 3;
  const dot = text.indexOf('.', from);
  const number = digitsIn(text, from, dot < 0 ? text.length : dot, MOST_DIGITS);
  const bit = dot < 0 ? undefined : digitsIn(text, dot + 1, text.length, 2);
  return number < 0 || (bit !== undefined && bit < 0) ? null : { location, width: width ?? 1, number, bit };
}

/** −1 where it is no number, or has too many digits. */
function digitsIn(text: string, from: number, to: number, most: number): number {
  if (to <= from || to - from > most) return -1;
  let number = 0;
  for (let i = from; i < to; i++) {
    const digit = text.charCodeAt(i) - 48;
    if (digit < 0 || digit > 9) return -1;
    number = number * 10 + digit;
  }
  return number;
}

/**
 * Direct addresses of IEC 61131-3: `%`, location I, Q or M, size X B W D L (X may be left out before a bit),
 * number, `.bit`. [published: IEC 61131-3, directly represented variables] [from memory] The standard leaves to the
 * implementer what the number counts: bytes, or elements of the named size. The view says which, and `%MW10` moves by a
 * factor of two between them. The bit part is 0–7 where bytes are numbered, else up to the element's width.
 * [common practice]
 */
function iec(numberCounts: 'bytes' | 'elements'): Notation {
  return {
    parse(text, view) {
      const parts = partsOf(text);
      if (!parts || parts.location !== (view.prefix ?? 'M')) return null;
      const { width, number, bit } = parts;
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
