import type { Exchange } from '../model/exchange.js';
import { modbusTcp } from './modbus-tcp.js';
import { other, OTHER_FACTS, OTHER_ID } from './other.js';
import type { Protocol } from './protocol.js';

/** Every protocol that has a file of its own. */
export const PROTOCOLS: readonly Protocol[] = [modbusTcp];

/** What can be chosen for an exchange, with the name to show. */
export const PROTOCOL_CHOICES = [...PROTOCOLS.map(({ id, name }) => ({ id, name })), { id: OTHER_ID, name: 'Other' }];

const described = new WeakMap<object, Protocol>();

/** The protocol of an exchange; one that is not in the catalogue is taken as `other`. */
export function protocolOf(exchange: Exchange): Protocol {
  const known = PROTOCOLS.find((p) => p.id === exchange.protocol);
  if (known) return known;
  const facts = exchange.facts ?? OTHER_FACTS;
  let protocol = described.get(facts);
  if (!protocol) described.set(facts, (protocol = other(facts)));
  return protocol;
}
