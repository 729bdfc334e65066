import { read, unread, type Read } from '../address/result.js';
import type { TypeRef } from '../model/claim.js';

export type TypeFamily = 'bool' | 'signed' | 'unsigned' | 'bit string' | 'real' | 'duration' | 'text';

export interface ElementaryType {
  name: string;
  /** of one value; 0 for text, whose size its capacity gives */
  bits: number;
  family: TypeFamily;
}

const define = (name: string, bits: number, family: TypeFamily): ElementaryType => ({ name, bits, family });

/** The elementary types and their sizes. [published: IEC 61131-3, elementary data types] [from memory] */
export const ELEMENTARY_TYPES: ReadonlyMap<string, ElementaryType> = new Map(
  [
    define('BOOL', 1, 'bool'),
    define('BYTE', 8, 'bit string'),
    define('WORD', 16, 'bit string'),
    define('DWORD', 32, 'bit string'),
    define('LWORD', 64, 'bit string'),
    define('SINT', 8, 'signed'),
    define('INT', 16, 'signed'),
    define('DINT', 32, 'signed'),
    define('LINT', 64, 'signed'),
    define('USINT', 8, 'unsigned'),
    define('UINT', 16, 'unsigned'),
    define('UDINT', 32, 'unsigned'),
    define('ULINT', 64, 'unsigned'),
    define('REAL', 32, 'real'),
    define('LREAL', 64, 'real'),
    define('TIME', 32, 'duration'),
    define('LTIME', 64, 'duration'),
    define('STRING', 0, 'text'),
  ].map((type) => [type.name, type]),
);

export const DEFAULT_CAPACITY = 80;
/** What a type takes at most: elements of an array, characters of a text. */
export const MOST_ELEMENTS = 1_000_000;
export const MOST_CHARACTERS = 65_535;

export function elementary(base: string): ElementaryType | null {
  return ELEMENTARY_TYPES.get(base) ?? null;
}

/** `REAL`, `REAL ×3`, `STRING[30]` */
export function formatType(type: TypeRef): string {
  const base = type.base === 'STRING' ? `STRING[${type.capacity ?? DEFAULT_CAPACITY}]` : type.base;
  return type.count === 1 ? base : `${base} ×${type.count}`;
}

const ARRAY = /^ARRAY\s*\[\s*(\d+)\s*\.\.\s*(\d+)\s*\]\s*OF\s+(.+)$/i;
const PLAIN = /^([A-Z]+)\s*(?:[[(]\s*(\d+)\s*[\])])?\s*(?:[×x*]\s*(\d+))?$/i;

/** `REAL`, `real x3`, `INT[12]`, `ARRAY [0..11] OF INT`, `STRING[30]`, `STRING[30] ×2` */
export function parseType(text: string): Read<TypeRef> {
  const clean = text.trim();
  const expected = 'a type is one of IEC 61131-3, with a count for an array: INT, REAL ×3, STRING[30]';
  const array = ARRAY.exec(clean);
  if (array) {
    const [, from, to, rest = ''] = array;
    const inner = parseType(rest);
    if (!inner.ok) return inner;
    const count = Number(to) - Number(from) + 1;
    if (count < 1) return unread(`the array of “${clean}” ends before it begins`, expected);
    return counted(clean, { ...inner.value, count: inner.value.count * count });
  }
  const match = PLAIN.exec(clean);
  const type = match && elementary(match[1]!.toUpperCase());
  if (!match || !type) return unread(`“${clean}” is not a type known here`, expected);
  const bracket = match[2] === undefined ? undefined : Number(match[2]);
  const times = match[3] === undefined ? 1 : Number(match[3]);
  if (bracket === 0 || times === 0) return unread(`“${clean}” has no elements`, expected);
  if (type.family !== 'text') return counted(clean, { base: type.name, count: times * (bracket ?? 1) });
  const capacity = bracket ?? DEFAULT_CAPACITY;
  if (capacity <= MOST_CHARACTERS) return counted(clean, { base: type.name, count: times, capacity });
  return unread(`a text of ${bracket} characters`, `a text has at most ${MOST_CHARACTERS}`);
}

/** The type, or why there cannot be so many of it. */
export function counted(text: string, type: TypeRef): Read<TypeRef> {
  return type.count <= MOST_ELEMENTS
    ? read(type)
    : unread(`“${text}” has ${type.count} elements`, `an array has at most ${MOST_ELEMENTS}`);
}
