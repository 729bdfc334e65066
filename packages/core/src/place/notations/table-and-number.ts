import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';
import { TABLE_DIGITS } from './reference.js';

const LAST = 65_536;

/**
 * A Modbus table and a reference number in it, written apart: `4:101`, also `4 101` and `4x101`. `0x101` could as well be
 * hexadecimal, and is refused with both readings.
 * [published: MODBUS Application Protocol Specification V1.1b3, 4.4 addressing model] for counting from 1,
 * [common practice] for the table digit. [from memory]
 */
export const tableAndNumber: Notation = {
  parse(text, view) {
    const match = /^([0134])(?:\s*[:x]\s*|\s+)0*(\d{1,9})(?:\.(\d{1,2}))?$/i.exec(text);
    if (!match) return null;
    const [, table = '', digits = '', bitDigits] = match;
    if (/^0x/i.test(text)) return twoReadings(text, `0:${Number(digits)}`);
    if (table !== TABLE_DIGITS[view.table ?? 'holding registers']) return null;
    const number = Number(digits);
    if (number < 1 || number > LAST) return `${text} is outside its table; references are 1 to ${LAST}`;
    const bit = readBit(text, bitDigits, view);
    return typeof bit === 'string' ? bit : { number, ...bit };
  },
  format: (spot, view) => `${TABLE_DIGITS[view.table ?? 'holding registers']}:${spot.number}${writeBit(spot.bit)}`,
  example: (view) => `${TABLE_DIGITS[view.table ?? 'holding registers']}:${view.first + 100}`,
};

/** `0x…` near Modbus: the table of coils, or hexadecimal. */
export function twoReadings(text: string, asCoil: string): string {
  const hex = text.slice(2).split('.')[0] ?? '';
  const value = /^[0-9a-f]{1,8}$/i.test(hex) ? `16#${hex.toUpperCase()}, which is ${parseInt(hex, 16)}` : `16#${hex}`;
  return `${text} can be read twice; write ${asCoil} for the coil, or ${value}, for the hexadecimal number`;
}
