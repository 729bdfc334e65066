import { elementary } from '../data/types.js';
import { readable } from '../model/as-typed.js';
import type { Area } from '../model/area.js';
import { IN_TAG } from '../model/claim.js';
import type { Tag } from '../model/tag.js';
import type { Unit, WordBits } from '../model/words.js';
import type { View } from '../model/view.js';

/** Bits from one element of a tag to the next. Text and structures are counted in bytes. */
export function elementBits(tag: Tag): Unit {
  const base = readable(tag.type)?.base ?? 'WORD';
  const bits = elementary(base)?.bits ?? 0;
  return bits === 0 ? 8 : (bits as Unit);
}

const MOST_TEXT = 65_536;

/**
 * The memory that a tag without an address is: words that hold its elements, as far as its type says. Text and
 * structures get as much room as any can take, for how long they are is the layout's affair.
 */
export function tagArea(tag: Tag, wordBits: WordBits): { area: Area; view: [string, View] } {
  const type = readable(tag.type);
  const unit = elementBits(tag);
  const fixed = type !== null && (elementary(type.base)?.bits ?? 0) > 0;
  const bits = fixed ? type.count * unit : MOST_TEXT;
  const area: Area = {
    id: tag.id,
    order: tag.order,
    name: tag.name,
    station: tag.station,
    kind: 'memory',
    wordBits,
    words: Math.max(1, Math.ceil(bits / wordBits)),
    writers: ['program'],
    views: {},
    reservations: {},
  };
  const view: View = {
    order: 0,
    name: 'elements',
    notation: 'name and element',
    prefix: tag.name,
    unit,
    first: 0,
  };
  return { area, view: [IN_TAG, view] };
}
