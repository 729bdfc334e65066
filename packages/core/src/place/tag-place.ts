import { placeAlong } from './format-address.js';
import { placeInElement, placeInUnit } from '../data/bit-in-unit.js';
import { locate, type Located } from './resolve.js';
import { bitNumber, bitPosition } from '../data/bit-order.js';
import { numberingUnit, type Frame } from '../data/layout.js';
import { memoryOf } from './memory.js';
import { elementNamed, subscriptOf } from '../data/types.js';
import { read, unread, type Read } from '../text/read.js';
import { elementBits } from './tag-memory.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG, type Claim, type Place } from '../model/claim.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { nameKey } from '../model/references.js';
import { ASSUMED, type Unit } from '../model/words.js';
import type { Station } from '../model/station.js';
import type { Tag } from '../model/tag.js';

/** `Store_Temperature[3]`, `Store_Temperature`, `Store_Temperature.5` */
const NAMED = /^([^[\].]+(?:\.[A-Za-z_][^[\].]*)*)(?:\[\s*(-?\d+(?:\s*,\s*-?\d+)*)\s*\])?(?:\.(\d+))?$/;

/** A text as a place in a tag of this station: its name, an element and a bit. Upper and lower case are the same unless they matter. */
export function parseTagPlace(reader: Reader, stationId: string, text: string, exact = false): Read<Place> | null {
  const match = NAMED.exec(text.trim());
  if (!match) return null;
  const [, name = '', element, bit] = match;
  const tag = tagNamed(reader, stationId, name, exact);
  if (!tag) return null;
  const type = readable(tag.type);
  const array = type ?? { base: 'WORD', count: 1 };
  const number = element === undefined ? 0 : elementNamed(array, element);
  if (number === null) {
    const first = array.bounds ? `its first element is [${subscriptOf(array, 0)}], ` : '';
    const last = `its last element is [${subscriptOf(array, array.count - 1)}]`;
    return unread(`“${text.trim()}” is beyond ${tag.name}`, `${first}${last}`);
  }
  const bits = elementBits(tag);
  if (bit !== undefined && Number(bit) >= bits) {
    const expected = bits === 1 ? `${tag.name} is single bits` : `bits are 0 to ${bits - 1}`;
    return { ok: false, found: `bit ${bit} in “${text.trim()}” does not exist`, expected, outside: true };
  }
  return read({ area: tag.id, view: IN_TAG, number, ...(bit === undefined ? {} : { bit: Number(bit) }) });
}

/** The tag of a station with this name; the very same where there are several in other cases. */
export function tagNamed(reader: Reader, stationId: string, name: string, exact: boolean): Tag | undefined {
  const tags = reader.referrers('tag', nameKey(stationId, name)).flatMap((id) => reader.get('tag', id) ?? []);
  return tags.find((tag) => tag.name === name) ?? (exact ? undefined : tags[0]);
}

/** `Store_Temperature[3]`: an element is named where there are several. */
export function formatTagPlace(tag: Tag, place: Place): string {
  const type = readable(tag.type);
  const several = type !== null && type.count > 1 && !(place.number === 0 && place.bit === undefined);
  return `${tag.name}${several ? `[${subscriptOf(type, place.number)}]` : ''}${place.bit === undefined ? '' : `.${place.bit}`}`;
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
  return partOfTag(located, at, elementBits(tag), place);
}

/** An element of an array, or a bit of one, from where its first element lies. */
function partOfTag(located: Located, at: Place, bits: Unit, { number, bit }: Place): Place {
  const { row, layout, linear } = located;
  const frame: Frame = { ...row, layout };
  const unit = numberingUnit(frame);
  const single = (position: number): Place => {
    const whole = Math.floor(position / unit) * unit;
    const named = unit === 1 ? undefined : placeInUnit(row, unit, position - whole);
    return placeAlong(located, at, position - linear, bits, named);
  };
  if (bits === 1 && layout.boolPacking === 'bit' && unit > 1) {
    // BOOLs go on from the bit that the first has, as they are packed.
    const first = at.bit === undefined ? linear : bitNumber(frame, linear);
    return single(bitPosition(frame, first + number));
  }
  const step = bits > 1 || unit === 1 ? bits : layout.boolPacking === 'word' ? row.wordBits : 8;
  const element = linear + number * step;
  return bit === undefined
    ? placeAlong(located, at, number * step, bits)
    : single(element + placeInElement(row, layout, bits, bit));
}

/** Where a claim's data really is; null where that was not said, or cannot be read. */
export function placeOf(reader: Reader, claim: Pick<Claim, 'place'>): Place | null {
  const place = readable(claim.place);
  return place && realPlace(reader, place);
}

/**
 * Between two stations names are told apart by case where either of them does so, and where of either it is not known
 * that it does not: what is merely assumed of a type is no reason to call a name that differs the same.
 */
export const caseMattersBetween = (reader: Reader, ...stations: Station[]): boolean =>
  stations.some(({ profile }) => {
    const rule = profile === null ? undefined : reader.get('profile', profile)?.nameRule;
    return !rule || rule.caseMatters || rule.source === ASSUMED;
  });

export const tagsOf = (reader: Reader, stationId: string): Tag[] => childrenOf(reader, 'tag', stationId);
