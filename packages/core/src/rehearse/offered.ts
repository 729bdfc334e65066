import { elementary } from '../data/types.js';
import { valueToBits } from '../data/values.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG } from '../model/claim.js';
import { childrenOf } from '../model/order.js';
import { memoryOf } from '../place/memory.js';
import { realPlace } from '../place/tag-place.js';
import { blockAt, valueAt } from './block.js';
import { putText, roomOf, textIn } from './characters.js';
import type { Plant } from './plant.js';
import { textHeader, type OwnValue } from './values.js';

/** A tag as its station offers it by name to whoever asks: an element each, or a text. */
export interface OfferedTag {
  name: string;
  base: string;
  count: number;
  settable: boolean;
  /** numbers and bits one for each element; of a text the text */
  now(): (number | bigint)[] | string;
  /** false: it does not go into it */
  set(to: readonly (number | bigint)[] | string): boolean;
}

/** What a station offers by name: its tags that are not closed, hidden, or of a type of its own. */
export function offeredTags(plant: Plant, station: string): OfferedTag[] {
  return childrenOf(plant.project, 'tag', station).flatMap((tag): OfferedTag[] => {
    const type = readable(tag.type);
    const family = type && elementary(type.base)?.family;
    if (!type || !family || tag.open === 'closed' || tag.program || tag.internal) return [];
    const place = realPlace(plant.project, { area: tag.id, view: IN_TAG, number: 0 });
    const memory = memoryOf(plant.project, place.area);
    const bare = elementary(type.base)!.bits * type.count;
    const length = bare > 0 ? bare : 16 * (roomOf({ type }) + 2) * type.count;
    const block = memory && blockAt({ memory, place, bits: length, usual: 'values', inBits: bare === 1 });
    if (!block) return [];
    const bits = valueAt(block, type, null);
    if (bits.some((bit) => bit >= memory.bits)) return [];
    const value: OwnValue = { key: '', name: tag.name, type, bits, text: textHeader(type, block) };
    const own = () => plant.memory.of(place.area);
    const width = elementary(type.base)!.bits;
    return [
      {
        name: tag.name,
        base: type.base,
        count: type.count,
        settable: tag.open !== 'may read',
        now: () =>
          family === 'text'
            ? textIn(own(), value)
            : Array.from({ length: type.count }, (_, n) =>
                plant.valueOf(place.area, { ...value, bits: bits.slice(n * width, (n + 1) * width) }),
              ),
        set(to) {
          if (typeof to === 'string') {
            if (family !== 'text' || to.length > roomOf(value)) return false;
            putText(own(), value, to);
            return true;
          }
          if (family === 'text' || to.length !== type.count) return false;
          const memory = own();
          to.forEach((one, n) => valueToBits(type.base, one).forEach((bit, i) => (memory[bits[n * width + i]!] = bit)));
          return true;
        },
      },
    ];
  });
}
