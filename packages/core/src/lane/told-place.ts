import type { Read } from '../text/read.js';
import { locate, type Located } from '../place/resolve.js';
import { areaBit, linearBit } from '../data/linear.js';
import { bitNumber, bitPosition } from '../data/bit-order.js';
import type { Frame } from '../data/layout.js';
import type { Claim, Place } from '../model/claim.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { bindingOf, placesOf } from './places-of.js';
import { readPlace } from '../place/read-place.js';
import { placeOf, realPlace } from '../place/tag-place.js';
import type { DifferenceOf } from './difference.js';
import type { Block, Side } from './side.js';

/**
 * The other end's place as it was typed at this end, read with the other station's own views; where several of its areas
 * write alike, in the one in which it says that the data lies.
 */
export function readToldPlace(reader: Reader, text: string, station: string, said: Claim | undefined): Read<Place> {
  return readPlace(reader, station, text, said && placeOf(reader, said)?.area);
}

/** Where a told place lies in the block's area, beside where the block begins: both along the row of the told view, bits of a unit in the order in which they are counted. */
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
  const frame: Frame = { ...located.row, layout: located.layout };
  const first = linearBit(located.row, firstBit(block));
  return {
    located,
    told: place.bit === undefined ? located.linear : bitNumber(frame, located.linear),
    true: block.single ? bitNumber(frame, first) : first,
  };
}

/** The first bit that the block takes, header included. */
function firstBit({ located, single, origin, chain, lengthBits, payloadBits }: Block): number {
  const position = single
    ? origin + bitPosition(chain.frame, chain.first - (lengthBits - payloadBits))
    : located.linear;
  return areaBit(located.row, position);
}

/**
 * Whether an end says where the other's data is: a caller has to where the protocol names places; what somebody typed
 * is compared under every protocol, unless it is a name or a text that is looked up (`namedTag`).
 */
export function tellsPlace(exchange: Exchange, lane: Pick<Lane, 'binding'>, { end, claim }: Side): boolean {
  const binding = bindingOf(exchange, lane);
  if (binding === 'by name' || binding === 'by item text') return false;
  if (placesOf(exchange, lane) === 'named' && end.calling === 'calls') return true;
  return (claim.toldPlace ?? '').trim() !== '';
}

/**
 * The place of the other that one end names, beside where the other says that it is. Compared are the first bits: lengths
 * have a rule of their own. Null where both are the same place.
 */
export function toldDifference(
  reader: Reader,
  caller: Side,
  other: Side,
): DifferenceOf<'POS 1'> | 'not told' | 'unread' | null {
  if (!other.block || !caller.block) return null;
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
