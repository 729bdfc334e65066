import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Binding, Places } from '../model/words.js';
import { protocolOf } from '../protocol/catalogue.js';

/** By what the two ends of a lane find each other's data, where a tag map says so; null: as the protocol has it. */
export const bindingOf = (exchange: Exchange, lane: Pick<Lane, 'binding'>): Binding | null =>
  exchange.kind === 'tag map' ? (lane.binding ?? exchange.binding ?? null) : null;

/** How the places of a lane are compared: as the protocol says, unless names or texts stand for them. */
export function placesOf(exchange: Exchange, lane: Pick<Lane, 'binding'>): Places {
  const binding = bindingOf(exchange, lane);
  return binding === 'by name' || binding === 'by item text' ? 'free' : protocolOf(exchange).places(exchange.transfer);
}
