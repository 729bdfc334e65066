import { read, unread, type Read } from '../text/read.js';

/** What was read off a device, byte by byte as it was listed. */
export interface Raw {
  bytes: Uint8Array;
  /** it was listed in registers of 16 bits, the first byte the high one */
  registers: boolean;
}

const EXPECTED =
  'bytes or registers, as in 00 00 3F 80, 0x0000 0x3F80, 16#3F80, 3F80h, or registers in decimal: 0 16256';

/** Bytes or registers as they are copied from anywhere: hexadecimal or decimal, with commas, brackets or nothing between. */
export function readRaw(text: string): Read<Raw> {
  const words = text
    .replace(/[[\](){};,|]/g, ' ')
    .split(/\s+/)
    .filter((word) => word !== '');
  if (words.length === 0) return unread('nothing is there', EXPECTED);
  const marked = words.map(
    (word) => /^(?:0x|16#|\$|#)([0-9a-f_]+)$/i.exec(word)?.[1] ?? /^([0-9a-f]+)h$/i.exec(word)?.[1],
  );
  const hex = marked.every((digits) => digits !== undefined)
    ? marked.map((digits) => digits!.replace(/_/g, ''))
    : words.every((word) => /^[0-9a-f]+$/i.test(word) && word.length % 2 === 0) && looksHex(words)
      ? words
      : null;
  if (hex) return fromHex(hex, text);
  const numbers = words.map(Number);
  const bad = words.find((_, i) => !Number.isInteger(numbers[i]) || numbers[i]! < -32768 || numbers[i]! > 65535);
  if (bad !== undefined) return unread(`“${bad}” is no register and no byte`, EXPECTED);
  const bytes = numbers.flatMap((n) => [(n >> 8) & 0xff, n & 0xff]);
  return read({ bytes: Uint8Array.from(bytes), registers: true });
}

/** Without a mark: a letter among the digits, or pairs of digits with zeros before them, as a listing of bytes has them. */
const looksHex = (words: readonly string[]): boolean =>
  words.some((word) => /[a-f]/i.test(word) || word.startsWith('0')) || words.some((word) => word.length > 5);

function fromHex(words: readonly string[], text: string): Read<Raw> {
  const size = Math.max(...words.map((word) => word.length));
  const registers = size > 2;
  const digits = words.map((word) => word.padStart(registers ? Math.ceil(word.length / 4) * 4 : 2, '0')).join('');
  if (digits.length > 2 * MOST_BYTES)
    return unread(`“${text.slice(0, 20)}…” is longer than ${MOST_BYTES} bytes`, EXPECTED);
  const bytes = Array.from({ length: digits.length / 2 }, (_, i) => parseInt(digits.slice(2 * i, 2 * i + 2), 16));
  return read({ bytes: Uint8Array.from(bytes), registers });
}

/** [published: MODBUS Application Protocol Specification V1.1b3, 4.1: a message has 253 bytes at most] [from memory] */
const MOST_BYTES = 256;
