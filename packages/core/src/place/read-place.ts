import { memoriesOf } from './memory.js';
import { parseAddress } from './parse-address.js';
import { readPoint } from './point-text.js';
import type { Read } from '../text/read.js';
import type { Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { parseTagPlace } from './tag-place.js';

/**
 * A text as a place of this station: an address in one of its areas, else one of its tags by name, or a point of a module.
 * Where several of its areas write alike, as byte 0 of many blocks, the one that is `meant` is taken.
 */
export function readPlace(reader: Reader, stationId: string, text: string, meant?: string): Read<Place> {
  const memories = memoriesOf(reader, stationId);
  const isMeant = memories.filter((m) => m.area.id === meant);
  const address = parseAddress(text, [...isMeant, ...memories]);
  if (address.ok) return address;
  const tag = parseTagPlace(reader, stationId, text);
  if (tag) return tag;
  const point = readPoint(reader, stationId, text);
  return point ? (point.ok ? { ok: true, value: point.value.place } : point) : address;
}
