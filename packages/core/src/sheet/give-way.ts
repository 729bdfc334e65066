import { lengthBits } from '../place/length.js';
import type { Change } from '../change/change.js';
import { entityChanges } from '../change/diff.js';
import { isTyped, readable } from '../model/as-typed.js';
import type { Claim, ClaimItem, Length } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Lane } from '../model/lane.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Direction } from '../model/words.js';
import { placeText } from '../place/place-text.js';
import { reconcilingSwaps } from '../lane/reconcile.js';
import { namesOtherPlace } from './sheet.js';
import { sideOf } from '../lane/side.js';

const TURNED: Record<Direction, Direction> = { writes: 'reads', reads: 'writes', both: 'both' };

/**
 * The changes by which one end of a lane gives way to the other: direction, length, type and values become what the other
 * end has, and the swap one that makes all of them arrive, where there is one. Its own place and names stay, for they are
 * its own affair; the other's place is told as it is. Empty where there is nothing to give way in.
 */
export function giveWay(reader: Reader, lane: Lane, loser: End): Change[] {
  const exchange = reader.get('exchange', lane.exchange);
  const claims = childrenOf(reader, 'claim', lane.id);
  const own = claims.find((c) => c.end === loser.id);
  const others = claims.filter((c) => c.end !== loser.id);
  const source = others.find((c) => c.direction === 'writes' || c.direction === 'both');
  const other = source ?? others[0];
  if (!exchange || !own || !other) return [];
  const direction = readable(other.direction);
  const length = readable(other.length);
  const next: Claim = {
    ...own,
    direction: direction && others.length === 1 ? TURNED[direction] : own.direction,
    length: length ? inUnitOf(length, own.length) : own.length,
    type: typeFor(own, other),
    items: itemsFor(own, other),
  };
  const named = readable(other.place);
  if (namesOtherPlace(exchange, loser) && named) next.toldPlace = placeText(reader, named);
  const settled = withSwap(reader, next, other, exchange.id);
  return entityChanges('claim', own, settled);
}

/** The same length in the unit that this end counts in, where it comes out even. */
function inUnitOf(length: Length, own: Claim['length']): Length {
  const unit = readable(own)?.unit ?? length.unit;
  const bits = lengthBits(length);
  return bits % unit === 0 ? { count: bits / unit, unit } : length;
}

/** The elements of a tag follow the tag; a type that the other does not say stays. */
const typeFor = (own: Claim, other: Claim): Claim['type'] =>
  other.type !== null && !isTyped(other.type) ? { ...other.type } : own.type;

function itemsFor(own: Claim, other: Claim): Claim['items'] {
  const items: Record<string, ClaimItem> = {};
  for (const [key, item] of Object.entries(other.items)) {
    items[key] = { ...item, name: own.items[key]?.name || item.name };
  }
  return items;
}

function withSwap(reader: Reader, next: Claim, other: Claim, exchangeId: string): Claim {
  const exchange = reader.get('exchange', exchangeId)!;
  const [own, there] = [sideOf(reader, next, exchange), sideOf(reader, other, exchange)];
  if (!own || !there) return next;
  const ownIsSource = next.direction === 'writes';
  const [source, sink] = ownIsSource ? [own, there] : [there, own];
  const mine = reconcilingSwaps(source, sink).find((r) => (r.side === 'source') === ownIsSource);
  return mine ? { ...next, swap: mine.swap } : next;
}
