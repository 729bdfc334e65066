import type { TypeRef } from '../model/claim.js';
import { read, unread, type Read, squeezed } from '../text/read.js';

export type TypeFamily =
  'bool' | 'signed' | 'unsigned' | 'bit string' | 'real' | 'duration' | 'moment' | 'character' | 'text';

export interface ElementaryType {
  name: string;
  /** of one value; 0 for text, whose size its capacity gives */
  bits: number;
  family: TypeFamily;
}

const define = (name: string, bits: number, family: TypeFamily): ElementaryType => ({ name, bits, family });

/**
 * The elementary types and their sizes. [published: IEC 61131-3, elementary data types] [from memory]
 * The standard leaves the size of TIME, DATE, TOD and DT to the implementer: 32 bits are [common practice].
 */
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
    define('DATE', 32, 'moment'),
    define('TOD', 32, 'moment'),
    define('DT', 32, 'moment'),
    define('LDATE', 64, 'moment'),
    define('LTOD', 64, 'moment'),
    define('LDT', 64, 'moment'),
    define('CHAR', 8, 'character'),
    define('WCHAR', 16, 'character'),
    define('STRING', 0, 'text'),
    define('WSTRING', 0, 'text'),
  ].map((type) => [type.name, type]),
);

/** Long names of the standard, each with the short one. */
const LONG_NAMES: Readonly<Record<string, string>> = {
  TIME_OF_DAY: 'TOD',
  DATE_AND_TIME: 'DT',
  LTIME_OF_DAY: 'LTOD',
  LDATE_AND_TIME: 'LDT',
};

export const DEFAULT_CAPACITY = 80;
/** What a type takes at most: elements of an array, characters of a text. */
export const MOST_ELEMENTS = 1_000_000;
const MOST_DIMENSIONS = 6;
export const MOST_CHARACTERS = 65_535;

export function elementary(base: string): ElementaryType | null {
  return ELEMENTARY_TYPES.get(base) ?? null;
}

/** `REAL`, `REAL ×3`, `STRING[30]`, `ARRAY[1..3] OF REAL` where the subscripts do not count from 0. */
export function formatType(type: TypeRef): string {
  const text = elementary(type.base)?.family === 'text';
  const base = text ? `${type.base}[${type.capacity ?? DEFAULT_CAPACITY}]` : type.base;
  if (type.bounds && countOf(boundsOf(type)) === type.count) return `ARRAY[${type.bounds}] OF ${base}`;
  return type.count === 1 ? base : `${base} ×${type.count}`;
}

/** The first and the last subscript of each dimension of an array. */
export type Bounds = readonly (readonly [low: number, high: number])[];

/** As they are declared, or from 0 on. */
export const boundsOf = ({ bounds, count }: TypeRef): Bounds =>
  bounds
    ? bounds.split(',').map((one) => {
        const [low = 0, high = 0] = one.split('..').map(Number);
        return [low, high] as const;
      })
    : [[0, count - 1]];

/** Which element, from 0, a subscript as `3` or `1,-2` names; null where there is none such. */
export function elementNamed(type: TypeRef, subscript: string): number | null {
  const bounds = boundsOf(type);
  const numbers = subscript.split(',').map(Number);
  if (numbers.length !== bounds.length) return null;
  let element = 0;
  for (const [i, [low, high]] of bounds.entries()) {
    const at = numbers[i]!;
    if (!Number.isInteger(at) || at < low || at > high) return null;
    element = element * (high - low + 1) + at - low;
  }
  return element;
}

/** The subscript of an element; the inverse of `elementNamed`. */
export function subscriptOf(type: TypeRef, element: number): string {
  const numbers: number[] = [];
  let rest = element;
  for (const [low, high] of [...boundsOf(type)].reverse()) {
    const size = high - low + 1;
    numbers.unshift(low + (rest % size));
    rest = Math.floor(rest / size);
  }
  return numbers.join(',');
}

const countOf = (bounds: Bounds): number => bounds.reduce((all, [low, high]) => all * (high - low + 1), 1);

const ARRAY = /^ARRAY\s*\[([^\]]*)\]\s*OF\s+(.+)$/i;
const DIMENSION = /^\s*(-?\d{1,9})\s*\.\.\s*(-?\d{1,9})\s*$/;
const PLAIN = /^([A-Z_]+)\s*(?:[[(]\s*(\d+)\s*[\])])?\s*(?:[×x*]\s*(\d+))?$/i;

/** `REAL`, `real x3`, `INT[12]`, `ARRAY [0..11] OF INT`, `STRING[30]`, `STRING[30] ×2` */
export function parseType(text: string): Read<TypeRef> {
  const clean = squeezed(text);
  const expected = 'a type is one of IEC 61131-3, with a count for an array: INT, REAL ×3, STRING[30]';
  const array = ARRAY.exec(clean);
  if (array) return arrayOf(clean, array[1]!, array[2]!);
  const match = PLAIN.exec(clean);
  const word = match?.[1]!.toUpperCase() ?? '';
  const type = match && elementary(LONG_NAMES[word] ?? word);
  if (!match || !type) return unread(`“${clean}” is not a type known here`, expected);
  const bracket = match[2] === undefined ? undefined : Number(match[2]);
  const times = match[3] === undefined ? 1 : Number(match[3]);
  if (bracket === 0 || times === 0) return unread(`“${clean}” has no elements`, expected);
  if (type.family !== 'text') return counted(clean, { base: type.name, count: times * (bracket ?? 1) });
  const capacity = bracket ?? DEFAULT_CAPACITY;
  if (capacity <= MOST_CHARACTERS) return counted(clean, { base: type.name, count: times, capacity });
  return unread(`a text of ${bracket} characters`, `a text has at most ${MOST_CHARACTERS}`);
}

/** `1..3,-1..1`: every dimension with its first and last subscript; those of an array in an array follow. */
function arrayOf(text: string, dimensions: string, rest: string): Read<TypeRef> {
  const inner = parseType(rest);
  if (!inner.ok) return inner;
  const bounds: [number, number][] = [];
  for (const one of dimensions.split(',')) {
    const match = DIMENSION.exec(one);
    if (!match)
      return unread(
        `“${one.trim()}” is not a valid dimension`,
        'write the first and the last subscript: [0..7], [1..3,1..4]',
      );
    const [low, high] = [Number(match[1]), Number(match[2])];
    if (high < low)
      return unread(`the array of “${text}” ends before it begins`, 'the first subscript is the lower one');
    bounds.push([low, high]);
  }
  const count = countOf(bounds) * inner.value.count;
  const { bounds: _inner, ...type } = inner.value;
  const all: Bounds = inner.value.count > 1 ? [...bounds, ...boundsOf(inner.value)] : bounds;
  if (all.length > MOST_DIMENSIONS)
    return unread(`${all.length} dimensions`, `an array has at most ${MOST_DIMENSIONS}`);
  const plain = all.length === 1 && all[0]![0] === 0;
  const written = all.map(([low, high]) => `${low}..${high}`).join(',');
  return counted(text, { ...type, count, ...(plain ? {} : { bounds: written }) });
}

/** The type, or why there cannot be so many of it. */
export function counted(text: string, type: TypeRef): Read<TypeRef> {
  return type.count <= MOST_ELEMENTS
    ? read(type)
    : unread(`“${text}” has ${type.count} elements`, `an array has at most ${MOST_ELEMENTS}`);
}

export const sameType = (a: TypeRef, b: TypeRef): boolean =>
  a.base === b.base && a.count === b.count && a.capacity === b.capacity && a.structure === b.structure;
