import type { Length } from '../model/claim.js';
import { read, unread, type Read, squeezed } from '../text/read.js';
import type { Unit } from '../model/words.js';

/** The word for a unit of so many bits. */
const UNIT_WORDS: Record<Unit, readonly [string, string]> = {
  1: ['bit', 'bits'],
  8: ['byte', 'bytes'],
  16: ['word', 'words'],
  32: ['double word', 'double words'],
  64: ['long word', 'long words'],
};

const TYPED_UNITS: Record<string, Unit> = {
  bit: 1,
  bits: 1,
  byte: 8,
  bytes: 8,
  word: 16,
  words: 16,
  register: 16,
  registers: 16,
  'double word': 32,
  'double words': 32,
  dword: 32,
  dwords: 32,
  'long word': 64,
  'long words': 64,
};

export const lengthBits = (length: Length): number => length.count * length.unit;

/** `6 words`, `1 byte` */
export function formatLength(length: Length): string {
  return formatCount(length.count, length.unit);
}

export function formatCount(count: number, unit: Unit): string {
  return `${count} ${UNIT_WORDS[unit][count === 1 ? 0 : 1]}`;
}

/** `words`: what so many bits are counted in. */
export const unitWords = (unit: Unit): string => UNIT_WORDS[unit][1];

/** Bits in the largest unit that divides them evenly, but not larger than asked for. */
export function formatBits(bits: number, unit: Unit): string {
  const fitting = ([unit, 16, 8, 1] as Unit[]).find((u) => u <= unit && bits % u === 0) ?? 1;
  return formatCount(bits / fitting, fitting);
}

/**
 * `6`, `6 words`, `12 bytes`; a bare number counts the unit given. `6 elements` counts those of the end, where it counts in
 * some.
 */
export function parseLength(text: string, unit: Unit, elements: Unit | null = null): Read<Length> {
  const clean = squeezed(text);
  const expected = `a length is a whole number, with or without its unit, like ${formatCount(6, unit)}`;
  const match = /^(\d{1,9})\s*([a-z ]*)$/i.exec(clean);
  if (!match) {
    const comma = clean.includes(',') ? ', with a comma' : '';
    return unread(`“${clean}” is not a whole number${comma}`, expected);
  }
  const count = Number(match[1]);
  const word = (match[2] ?? '').trim().toLowerCase();
  const known = Object.hasOwn(TYPED_UNITS, word) ? TYPED_UNITS[word] : undefined;
  const typedUnit = word === '' ? unit : /^elements?$/.test(word) && elements ? elements : known;
  if (typedUnit === undefined)
    return unread(`“${word}” is not a valid unit of length`, `${expected}; bits, bytes, words`);
  if (count === 0) return unread('a length of 0', 'it must be 1 or more');
  return read({ count, unit: typedUnit });
}
