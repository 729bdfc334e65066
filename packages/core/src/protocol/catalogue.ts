import type { Protocol } from './protocol.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { cip } from './cip.js';
import { cyclicEthernetIo } from './cyclic-ethernet-io.js';
import { dnp3 } from './dnp3.js';
import { isoTransport } from './iso-transport.js';
import { modbusRtu } from './modbus-rtu.js';
import { modbusTcp } from './modbus-tcp.js';
import { opcUa } from './opc-ua.js';
import { other, OTHER_FACTS, OTHER_ID } from './other.js';
import { radioMirror } from './radio-mirror.js';
import { serviceAccess } from './service-access.js';
import { tokenBusIo } from './token-bus-io.js';

/** Every protocol that has a file of its own. */
export const PROTOCOLS: readonly Protocol[] = [
  modbusTcp,
  modbusRtu,
  cip,
  cyclicEthernetIo,
  tokenBusIo,
  isoTransport,
  dnp3,
  opcUa,
  radioMirror,
  serviceAccess,
];

/** What can be chosen for an exchange, with the name to show. */
export const PROTOCOL_CHOICES = [...PROTOCOLS.map(({ id, name }) => ({ id, name })), { id: OTHER_ID, name: 'Other' }];

const described = new WeakMap<object, Protocol>();

/** The protocol of one end: that of its side of a coupler, else the exchange's. */
export const protocolAt = (exchange: Exchange, end: End): Protocol =>
  (end.protocol && PROTOCOLS.find((p) => p.id === end.protocol)) || protocolOf(exchange);

/** The protocol of an exchange; one that is not in the catalogue is taken as `other`. */
export function protocolOf(exchange: Exchange): Protocol {
  const known = PROTOCOLS.find((p) => p.id === exchange.protocol);
  if (known) return known;
  const facts = exchange.facts ?? OTHER_FACTS;
  let protocol = described.get(facts);
  if (!protocol) described.set(facts, (protocol = other(facts)));
  return protocol;
}

/** The id of the protocol of this name, or of the only one whose name begins so. */
export function protocolNamed(text: string, which: (protocol: Protocol) => boolean = () => true): string | null {
  const clean = text.trim().toLowerCase();
  const known = PROTOCOLS.filter(which);
  const exact = known.find((p) => p.id === clean || p.name.toLowerCase() === clean);
  if (exact) return exact.id;
  const starting = clean === '' ? [] : known.filter((p) => p.name.toLowerCase().startsWith(clean));
  return starting.length === 1 ? starting[0]!.id : null;
}
