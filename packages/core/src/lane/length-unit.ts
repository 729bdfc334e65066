import { memoryOf, viewOf } from '../place/memory.js';
import { readable } from '../model/as-typed.js';
import type { Claim } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import type { Unit } from '../model/words.js';
import { placeOf } from '../place/tag-place.js';

/** The unit that a bare number of this claim's length counts. */
export function lengthUnit(reader: Reader, claim: Claim): Unit {
  const length = readable(claim.length);
  if (length) return length.unit;
  const elements = reader.get('end', claim.end)?.elementBits;
  if (elements) return elements;
  const place = placeOf(reader, claim);
  const memory = place && memoryOf(reader, place.area);
  const view = place && memory ? viewOf(memory, place.view) : null;
  return !view || view.unit === 1 ? 16 : view.notation.startsWith('iec') ? (place?.width ?? view.unit) : view.unit;
}
