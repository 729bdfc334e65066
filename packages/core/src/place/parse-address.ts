import type { Place } from '../model/claim.js';
import { NOTATION } from './notations/catalogue.js';
import type { Memory } from './memory.js';
import { read, unread, type Read } from '../text/read.js';

/**
 * Text to place: tries the views of these memories in order, the first that knows the text decides; a reference of a table
 * may also be written as other stations write it. Everything else is refused with what was expected here.
 */
export function parseAddress(text: string, memories: readonly Memory[]): Read<Place> {
  const clean = text.trim();
  const own = parseAsWritten(clean, memories);
  if (own !== null && typeof own !== 'string') return read(own);
  const because = own;
  const otherwise = inTables(clean, memories);
  if (otherwise) return read(otherwise);
  if (because) return { ok: false, found: `“${clean}” cannot be`, expected: because, outside: true };
  const examples = [...new Set(memories.flatMap((m) => m.views.map(([, v]) => NOTATION[v.notation].example(v))))];
  const expected =
    examples.length > 0
      ? `an address here looks like ${examples.slice(0, 4).join(' or ')}`
      : 'this station has no area with a notation yet; give it one under Stations';
  return unread(`“${clean}” is not an address of this station`, expected);
}

/** An address in one of the notations of these memories; a reason where one knows it and it cannot be; null: none knows it. */
export function parseAsWritten(text: string, memories: readonly Memory[]): Place | string | null {
  let because: string | null = null;
  for (const { area, views } of memories) {
    for (const [viewId, view] of views) {
      const spot = NOTATION[view.notation].parse(text.trim(), view);
      if (typeof spot === 'string') because ??= spot;
      else if (spot) return { area: area.id, view: viewId, ...spot };
    }
  }
  return because;
}

/** Ways to write references of the tables that mean one register, whichever of them a station uses: 40101, 400101, 4:101. */
const REFERENCES = ['reference 5', 'reference 6', 'table and number'] as const;

/** An address that is written as another station would write the same reference; null: it is none. */
function inTables(text: string, memories: readonly Memory[]): Place | null {
  for (const { area, views } of memories) {
    for (const [viewId, view] of views) {
      if (!REFERENCES.some((one) => one === view.notation)) continue;
      for (const notation of REFERENCES) {
        const spot = NOTATION[notation].parse(text, view);
        if (spot && typeof spot !== 'string') return { area: area.id, view: viewId, ...spot };
      }
    }
  }
  return null;
}
