import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';
import { twoReadings } from './table-and-number.js';

const LAST = 65_535;

/**
 * Modbus protocol addresses, as they travel: a number from 0 to 65535 in the view's table, decimal or `16#64`.
 * `0x64` could as well be a coil, and is refused with both readings.
 * [published: MODBUS Application Protocol Specification V1.1b3, 4.4 addressing model] [from memory]
 */
export const protocolAddress: Notation = {
  parse(text, view) {
    if (/^0x[0-9a-f]{1,8}(\.\d+)?$/i.test(text)) return twoReadings(text, `coil ${text.slice(2)}`);
    const match = /^(?:16#([0-9a-f]{1,7})|(\d{1,9}))(?:\.(\d{1,2}))?$/i.exec(text);
    if (!match) return null;
    const number = match[1] === undefined ? Number(match[2]) : parseInt(match[1], 16);
    if (number > LAST) return `${text} is outside its table; protocol addresses are 0 to ${LAST}`;
    const bit = readBit(text, match[3], view);
    return typeof bit === 'string' ? bit : { number, ...bit };
  },
  format: (spot) => `${spot.number}${writeBit(spot.bit)}`,
  example: (view) => `${view.first + 100}`,
};
