import { placeAlong } from './format-address.js';
import { memoryOf } from './memory.js';
import { locate } from './resolve.js';
import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import type { Tag } from '../model/tag.js';

/** The place of the n-th: of BOOLs the next bit, of all else the next that begins after the last. */
export function placesAlong(reader: Reader, { place, type }: Pick<Tag, 'place' | 'type'>): (n: number) => Place | null {
  const first = readable(place);
  const memory = first && memoryOf(reader, first.area);
  const located = memory && locate(memory, first);
  if (!first || !located) return () => null;
  const known = readable(type);
  const base = known ? (elementary(known.base)?.bits ?? 0) : 0;
  const { unit } = located.view;
  if (base === 1 && first.bit !== undefined) {
    return (n) => {
      const at = first.bit! + n;
      const width = first.width && first.width > 1 ? first.width : Math.max(unit, 8);
      return { ...first, number: first.number + Math.floor(at / width), bit: at % width };
    };
  }
  const bits = Math.ceil((base * (known?.count ?? 1)) / unit) * unit || unit;
  return (n) => placeAlong(located, first, n * bits, Math.min(bits, unit) as typeof unit);
}
