import type { Read } from '../address/result.js';
import { locate, type Located } from '../address/resolve.js';
import { areaBit, linearBit } from '../address/linear.js';
import type { Claim, Place } from '../model/claim.js';
import type { Reader } from '../model/project.js';
import { readPlace } from '../tags/read-place.js';
import { placeOf, realPlace } from '../tags/tag-place.js';
import type { DifferenceOf } from './difference.js';
import type { Block, Side } from './side.js';

/**
 * The other end's place as it was typed at this end, read with the other station's own views; where several of its areas
 * write alike, in the one in which it says that the data lies.
 */
export function readToldPlace(reader: Reader, text: string, station: string, said: Claim | undefined): Read<Place> {
  return readPlace(reader, station, text, said && placeOf(reader, said)?.area);
}

/** Where a told place lies in the block's area, beside where the block begins: both along the row of the told view. */
export interface ToldBeside {
  located: Located;
  told: number;
  true: number;
}

/** Null where the told place cannot be read, or is in another area. */
export function toldBeside(reader: Reader, text: string, block: Block): ToldBeside | null {
  const place = readPlace(reader, block.memory.station.id, text, block.place.area);
  return place.ok ? placeBeside(realPlace(reader, place.value), block) : null;
}

function placeBeside(place: Place, block: Block): ToldBeside | null {
  if (place.area !== block.place.area) return null;
  const located = locate(block.memory, place);
  if (!located) return null;
  return { located, told: located.linear, true: linearBit(located.row, firstBit(block)) };
}

const firstBit = ({ located }: Block): number => areaBit(located.row, located.linear);

/**
 * In a request the calling end names the other's place. Compared are the first bits: lengths have a rule of their own.
 * Null where this end does not call, or where told and true are the same place.
 */
export function toldDifference(
  reader: Reader,
  caller: Side,
  other: Side,
): DifferenceOf<'POS 1'> | 'not told' | 'unread' | null {
  if (caller.end.calling !== 'calls' || !other.block || !caller.block) return null;
  const typed = caller.claim.toldPlace?.trim() ?? '';
  if (typed === '') return 'not told';
  const place = readToldPlace(reader, typed, other.station.id, other.claim);
  if (!place.ok) return 'unread';
  const beside = placeBeside(realPlace(reader, place.value), other.block);
  return beside && beside.told === beside.true ? null : { code: 'POS 1', how: 'told', left: caller, right: other };
}

/** Where the protocol mirrors addresses, both ends have the block at the same distance from the start of their areas. */
export function mirrorDifference(a: Side, b: Side): DifferenceOf<'POS 1'> | null {
  if (!a.block || !b.block || a.block.located.linear === b.block.located.linear) return null;
  return { code: 'POS 1', how: 'same', left: a, right: b };
}

const FACTORS = [2, 4, 8, 16, 32];

/** 2, 4, 8, 16 or 32 where the one is so many times the other: a sign that one end counts other units. */
export function unitFactor(a: number, b: number): number | null {
  const ratio = Math.max(a, b) / Math.min(a, b);
  return FACTORS.includes(ratio) ? ratio : null;
}
