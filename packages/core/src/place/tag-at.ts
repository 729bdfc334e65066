import { areaBit, linearBit, rowOf } from '../data/linear.js';
import type { Memory } from './memory.js';
import { locate, type Located } from './resolve.js';
import { readable } from '../model/as-typed.js';
import type { Reader } from '../model/project.js';
import { placeKey } from '../model/references.js';
import type { Tag } from '../model/tag.js';
import { UNITS } from '../model/words.js';

/** The tags of a station's list that begin at the very bit of an area where this place is, in whatever notation. */
export function tagsAt(reader: Reader, memory: Memory, { row, linear }: Located): Tag[] {
  if (reader.referrers('tag', memory.station.id).length === 0) return [];
  const bit = areaBit(row, linear);
  const ids = new Set<string>();
  for (const [, view] of memory.views) {
    const along = linearBit(rowOf(view, memory.wordBits, memory.layout), bit);
    const units = view.notation === 'iec elements' ? UNITS : [view.unit];
    for (const unit of units) {
      const key = placeKey(memory.area.id, view.first + Math.floor(along / unit));
      for (const id of reader.referrers('tag', key)) ids.add(id);
    }
  }
  return [...ids].flatMap((id) => {
    const tag = reader.get('tag', id);
    const place = tag && readable(tag.place);
    const at = place && locate(memory, place);
    return tag && at && areaBit(at.row, at.linear) === bit ? [tag] : [];
  });
}
