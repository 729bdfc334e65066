import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { asTheyTravel } from './how-it-travels.js';
import { sideOf, type Side } from './side.js';

/** Every claim of a lane with its end and station, in order of the ends; a missing claim is not among them. */
export function sidesOf(reader: Reader, lane: Lane, exchange: Exchange): Side[] {
  const byEnd = new Map<string, Side>();
  for (const claim of childrenOf(reader, 'claim', lane.id)) {
    const side = sideOf(reader, claim, exchange);
    if (side) byEnd.set(claim.end, side);
  }
  const sides = childrenOf(reader, 'end', exchange.id).flatMap((end) => byEnd.get(end.id) ?? []);
  return asTheyTravel(exchange, sides);
}
