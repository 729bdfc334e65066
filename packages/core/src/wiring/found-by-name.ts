import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { protocolAt, PROTOCOLS } from '../protocol/catalogue.js';
import type { Protocol } from '../protocol/protocol.js';

/** Whether this protocol finds the one that is called by its device name, and not only if told to. */
const findsByName = ({ told }: Protocol): boolean =>
  told.calls.some(({ field, optional }) => field === 'name' && !optional);

/**
 * Whether a port is found by its device name: true where an exchange through it is over a protocol that does so, or its
 * station's type speaks one; false where the type speaks none; null where nothing is known.
 */
export function foundByName(reader: Reader, port: Port): boolean | null {
  for (const end of childrenOf(reader, 'end', port.station)) {
    const exchange = reader.get('exchange', end.exchange);
    if (end.port === port.id && exchange && findsByName(protocolAt(exchange, end))) return true;
  }
  const station = reader.get('station', port.station);
  const speaks = Object.keys((station?.profile && reader.get('profile', station.profile)?.speaks) || {});
  if (speaks.length === 0) return null;
  return PROTOCOLS.some((protocol) => findsByName(protocol) && speaks.includes(protocol.id));
}
