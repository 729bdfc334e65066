import { readable } from '../model/as-typed.js';
import type { Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import type { Binding } from '../model/words.js';
import { judgeItemText } from '../place/item-text.js';
import { memoriesOf, memoryOf } from '../place/memory.js';
import { tagOf } from '../place/open-of.js';
import { parseAddress } from '../place/parse-address.js';
import { placeText } from '../place/place-text.js';
import { caseMattersBetween, parseTagPlace, realPlace } from '../place/tag-place.js';
import { blockAt, payloadOf } from './block.js';
import type { Party } from './party.js';

/** A name begins with a letter, and is no address of the other station. */
export const isName = (reader: Reader, text: string, { station }: Party): boolean =>
  text !== '' && !/^[\d%]/.test(text) && !parseAddress(text, memoriesOf(reader, station.id)).ok;

/** Why what is asked for by name or text is not what the other station means; null: it is. */
export function askedByName(
  reader: Reader,
  by: Binding | null,
  caller: Party,
  other: Party,
  text: string,
): string | null {
  const asks = text || (by === 'by item text' ? '' : (tagOf(reader, caller.claim)?.name ?? caller.claim.name));
  const { name } = other.station;
  if (asks === '') return null;
  const exact = caseMattersBetween(reader, caller.station, other.station);
  const found =
    by === 'by item text'
      ? judgeItemText(reader, caller.station, asks, other.station.id).place
      : placeNamed(reader, other, asks, exact);
  if (!found) return `${caller.station.name} asks for “${asks}”, which ${name} does not have`;
  const there = readable(other.claim.place);
  if (!there || sameTag(found, there) || sameBit(reader, found, other)) return null;
  return `${caller.station.name} asks for “${asks}”; what is meant is ${placeText(reader, there)}`;
}

function placeNamed(reader: Reader, other: Party, text: string, exact: boolean): Place | null {
  const read = parseTagPlace(reader, other.station.id, text, exact);
  return read?.ok ? read.value : null;
}

const sameTag = (a: Place, b: Place): boolean =>
  a.area === b.area && a.view === b.view && a.number === b.number && (a.bit ?? null) === (b.bit ?? null);

function sameBit(reader: Reader, found: Place, other: Party): boolean {
  const real = realPlace(reader, found);
  const memory = memoryOf(reader, real.area);
  if (!memory || real.area !== other.block.memory.area.id) return false;
  const there = blockAt({ memory, place: real, bits: 1, usual: 'bits', inBits: true });
  const here = { ...other.block, bits: 1 };
  return there !== null && payloadOf(there, there.single)[0] === payloadOf(here, here.single)[0];
}
