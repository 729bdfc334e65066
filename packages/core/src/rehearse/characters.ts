import { DEFAULT_CAPACITY } from '../data/types.js';
import type { Bits } from './memory.js';
import type { OwnValue } from './values.js';

/** Bits of a character, and entries of that size before the first one. */
function layoutOf({ text }: OwnValue): { width: number; header: number } {
  return {
    width: text.endsWith('16') ? 16 : 8,
    header: text.startsWith('none') ? 0 : text.startsWith('capacity') ? 2 : 1,
  };
}

/** The characters of a text, up to the first that is 0; where it says how long it is, no more than that. */
export function textIn(memory: Bits, value: OwnValue): string {
  const { width, header } = layoutOf(value);
  const codes = Array.from({ length: Math.floor(value.bits.length / width) }, (_, n) =>
    Array.from({ length: width }, (__, i) => memory[value.bits[n * width + i]!]! << i).reduce((a, b) => a | b, 0),
  );
  const room = codes.slice(header);
  const long = header === 0 ? room.length : (codes[header - 1] ?? 0);
  const end = room.indexOf(0);
  return String.fromCharCode(...room.slice(0, Math.min(long, end < 0 ? room.length : end)));
}

/** Characters that a text takes at most. */
export const roomOf = ({ type }: Pick<OwnValue, 'type'>): number => type.capacity ?? DEFAULT_CAPACITY;

/** The first character that does not go into it; null: all do. */
export const misfit = (value: OwnValue, text: string): string | null =>
  Array.from(text).find((one) => one.length > 1 || one.charCodeAt(0) >= 2 ** layoutOf(value).width) ?? null;

/** Puts a text there, with its header; what is left of its room is 0. */
export function putText(memory: Bits, value: OwnValue, text: string): void {
  const { width, header } = layoutOf(value);
  const before = header === 0 ? [] : header === 1 ? [text.length] : [roomOf(value), text.length];
  const codes = [...before, ...Array.from(text, (one) => one.charCodeAt(0))];
  value.bits.forEach((bit, i) => (memory[bit] = ((codes[Math.floor(i / width)] ?? 0) >> (i % width)) & 1));
}
