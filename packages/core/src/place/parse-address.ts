import type { Place } from '../model/claim.js';
import { NOTATION } from './notations/catalogue.js';
import type { Memory } from './memory.js';
import { read, unread, type Read } from '../text/read.js';

/**
 * Text to place: tries the views of these memories in order, the first that knows the text decides.
 * Everything else is refused with what was expected here.
 */
export function parseAddress(text: string, memories: readonly Memory[]): Read<Place> {
  const clean = text.trim();
  let because: string | null = null;
  for (const { area, views } of memories) {
    for (const [viewId, view] of views) {
      const spot = NOTATION[view.notation].parse(clean, view);
      if (typeof spot === 'string') because ??= spot;
      else if (spot) return read({ area: area.id, view: viewId, ...spot });
    }
  }
  if (because) return { ok: false, found: `“${clean}” cannot be`, expected: because, outside: true };
  const examples = [...new Set(memories.flatMap((m) => m.views.map(([, v]) => NOTATION[v.notation].example(v))))];
  const expected =
    examples.length > 0
      ? `an address here looks like ${examples.slice(0, 4).join(' or ')}`
      : 'this station has no area with a notation yet; give it one under Stations';
  return unread(`“${clean}” is not an address of this station`, expected);
}
