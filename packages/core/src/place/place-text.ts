import { formatAddress } from './format-address.js';
import { memoryOf } from './memory.js';
import { IN_TAG, type Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { formatTagPlace } from './tag-place.js';

/** A place as it is written: in the notation of its view, or by the name of its tag. The inverse of `readPlace`. */
export function placeText(reader: Reader, place: Place): string {
  if (place.view === IN_TAG) {
    const tag = reader.get('tag', place.area);
    return tag ? formatTagPlace(tag, place) : '';
  }
  const memory = memoryOf(reader, place.area);
  return memory ? formatAddress(memory, place) : '';
}
