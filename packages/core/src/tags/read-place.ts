import { memoriesOf } from '../address/memory.js';
import { parseAddress } from '../address/parse-address.js';
import type { Read } from '../address/result.js';
import type { Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { parseTagPlace } from './tag-place.js';

/** A text as a place of this station: an address in one of its areas, or else one of its tags by name. */
export function readPlace(reader: Reader, stationId: string, text: string): Read<Place> {
  const address = parseAddress(text, memoriesOf(reader, stationId));
  return address.ok ? address : (parseTagPlace(reader, stationId, text) ?? address);
}
