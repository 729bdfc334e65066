import { characterBits } from '../../data/layout.js';
import { DEFAULT_CAPACITY, elementary } from '../../data/types.js';
import type { TypeRef } from '../../model/claim.js';
import type { FullLayout } from '../../model/layout-defaults.js';

const HEADERS = { none: [], length: ['length'], 'capacity and length': ['capacity', 'length'] } as const;

/**
 * What bits `low` to `high` of a value are called, counted over all its elements from the least significant bit of the
 * first: `bits 15–8`, `[2] bits 15–8` of an array, `character 4` or `length` of a text.
 */
export function partName(type: TypeRef, layout: FullLayout, low: number, high: number): string {
  const kind = elementary(type.base);
  if (!kind) return bits(low, high);
  if (kind.family === 'text') return textPart(type, layout, low, high);
  if (type.count === 1) return bits(low, high);
  const element = Math.floor(low / kind.bits);
  const inside = kind.bits === 1 ? '' : ` ${bits(low % kind.bits, (low % kind.bits) + high - low)}`;
  return `[${element}]${inside}`;
}

function textPart(type: TypeRef, layout: FullLayout, low: number, high: number): string {
  const header = HEADERS[layout.stringHeader];
  const size = characterBits(type, layout);
  const entries = header.length + (type.capacity ?? DEFAULT_CAPACITY);
  const entry = Math.floor(low / size) % entries;
  const array = type.count === 1 ? '' : `[${Math.floor(low / size / entries)}] `;
  const name = header[entry] ?? `character ${entry - header.length + 1}`;
  const inside = size === 8 ? '' : ` ${bits(low % size, (low % size) + high - low)}`;
  return `${array}${name}${inside}`;
}

const bits = (low: number, high: number): string => (low === high ? `bit ${low}` : `bits ${high}–${low}`);
