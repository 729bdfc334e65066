import { readBit, writeBit } from './bit-part.js';
import type { Notation } from './notation.js';
import type { ReferenceTable } from '../../model/words.js';

/** The digit that stands for a table, before its reference numbers. [common practice] */
export const TABLE_DIGITS: Record<ReferenceTable, string> = {
  coils: '0',
  'discrete inputs': '1',
  'input registers': '3',
  'holding registers': '4',
};

/**
 * Modbus reference numbers: a table's digit, then the reference counted from 1. Five digits reach 9999, six digits
 * 65536; 40001 and 400001 are the same register, protocol address 0. `.bit` names a bit of a register.
 * [published: MODBUS Application Protocol Specification V1.1b3, 4.4 addressing model] for counting from 1,
 * [common practice] for the table digit. [from memory]
 */
function reference(digits: 4 | 5, last: number): Notation {
  const pattern = new RegExp(`^([0134])(\\d{${digits}})(?:\\.(\\d{1,2}))?$`);
  return {
    parse(text, view) {
      const match = pattern.exec(text);
      if (!match) return null;
      if (match[1] !== TABLE_DIGITS[view.table ?? 'holding registers']) return null;
      const number = Number(match[2]);
      if (number < 1 || number > last) return `${text} is outside its table; references are 1 to ${last}`;
      const bit = readBit(text, match[3], view);
      return typeof bit === 'string' ? bit : { number, ...bit };
    },
    format(spot, view) {
      const table = TABLE_DIGITS[view.table ?? 'holding registers'];
      return `${table}${String(spot.number).padStart(digits, '0')}${writeBit(spot.bit)}`;
    },
    example: (view) => `${TABLE_DIGITS[view.table ?? 'holding registers']}${'101'.padStart(digits, '0')}`,
  };
}

export const reference5 = reference(4, 9999);
export const reference6 = reference(5, 65536);
