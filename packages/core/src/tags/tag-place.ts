import { placeAlong } from '../address/format-address.js';
import { locate } from '../address/resolve.js';
import { memoryOf } from '../address/memory.js';
import { read, unread, type Read } from '../address/result.js';
import { elementBits } from './tag-memory.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG, type Claim, type Place } from '../model/claim.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { nameKey } from '../model/references.js';
import type { Station } from '../model/station.js';
import type { Tag } from '../model/tag.js';

/** `Store_Temperature[3]`, `Store_Temperature`, `Store_Temperature.5` */
const NAMED = /^([^[\].]+(?:\.[A-Za-z_][^[\].]*)*)(?:\[(\d+)\])?(?:\.(\d+))?$/;

/** A text as a place in a tag of this station: its name, an element and a bit. Upper and lower case are the same unless they matter. */
export function parseTagPlace(reader: Reader, stationId: string, text: string, exact = false): Read<Place> | null {
  const match = NAMED.exec(text.trim());
  if (!match) return null;
  const [, name = '', element, bit] = match;
  const tag = tagNamed(reader, stationId, name, exact);
  if (!tag) return null;
  const type = readable(tag.type);
  const last = (type?.count ?? 1) - 1;
  const number = Number(element ?? 0);
  if (number > last) return unread(`“${text.trim()}” is beyond ${tag.name}`, `its last element is [${last}]`);
  return read({ area: tag.id, view: IN_TAG, number, ...(bit === undefined ? {} : { bit: Number(bit) }) });
}

/** The tag of a station with this name; the very same where there are several in other cases. */
export function tagNamed(reader: Reader, stationId: string, name: string, exact: boolean): Tag | undefined {
  const tags = reader.referrers('tag', nameKey(stationId, name)).flatMap((id) => reader.get('tag', id) ?? []);
  return tags.find((tag) => tag.name === name) ?? (exact ? undefined : tags[0]);
}

/** `Store_Temperature[3]`: an element is named where there are several. */
export function formatTagPlace(tag: Tag, place: Place): string {
  const several = (readable(tag.type)?.count ?? 1) > 1 && !(place.number === 0 && place.bit === undefined);
  return `${tag.name}${several ? `[${place.number}]` : ''}${place.bit === undefined ? '' : `.${place.bit}`}`;
}

/**
 * Where a place really lies: one that is named by a tag with an address is at that address, element by element. One in
 * a tag without an address stays as it is: the tag is a memory of its own.
 */
export function realPlace(reader: Reader, place: Place): Place {
  if (place.view !== IN_TAG) return place;
  const tag = reader.get('tag', place.area);
  const at = tag && readable(tag.place);
  const memory = at && memoryOf(reader, at.area);
  const located = memory && locate(memory, at);
  if (!tag || !at || !located) return place;
  if (place.number === 0 && place.bit === undefined) return at;
  const bits = elementBits(tag);
  return placeAlong(located, at, place.number * bits, bits, place.bit);
}

/** Where a claim's data really is; null where that was not said, or cannot be read. */
export function placeOf(reader: Reader, claim: Pick<Claim, 'place'>): Place | null {
  const place = readable(claim.place);
  return place && realPlace(reader, place);
}

/** Between two stations names are told apart by case where either of them does so. */
export const caseMattersBetween = (reader: Reader, ...stations: Station[]): boolean =>
  stations.some(({ profile }) => profile !== null && reader.get('profile', profile)?.nameRule.caseMatters);

export const tagsOf = (reader: Reader, stationId: string): Tag[] => childrenOf(reader, 'tag', stationId);
