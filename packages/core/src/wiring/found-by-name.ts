import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { protocolAt, PROTOCOLS } from '../protocol/catalogue.js';
import type { Protocol } from '../protocol/protocol.js';

/** Whether this protocol finds the one that is called by its device name, and not only if told to. */
const findsByName = ({ told }: Protocol): boolean =>
  told.calls.some(({ field, optional }) => field === 'name' && !optional);

/**
 * Whether a port is found by its device name: true where an exchange through it, in which it does not call itself, is over
 * a protocol that does so, or its station's type answers in one; false where the type speaks none; null where nothing is
 * known, or where it only calls: whoever calls need not be found.
 */
export function foundByName(reader: Reader, port: Port): boolean | null {
  let calls = false;
  for (const end of childrenOf(reader, 'end', port.station)) {
    const exchange = reader.get('exchange', end.exchange);
    // Between two on a coupler it is the coupler that is looked for.
    if (
      end.port !== port.id ||
      !exchange ||
      exchange.kind === 'coupler area' ||
      !findsByName(protocolAt(exchange, end))
    )
      continue;
    if (end.calling !== 'calls') return true;
    calls = true;
  }
  const station = reader.get('station', port.station);
  const speaks = (station?.profile && reader.get('profile', station.profile)?.speaks) || {};
  const byName = PROTOCOLS.flatMap((protocol) => (findsByName(protocol) ? (speaks[protocol.id] ?? []) : []));
  if (byName.some(({ roles }) => roles.includes('listens') && !calls)) return true;
  return Object.keys(speaks).length === 0 || byName.length > 0 ? null : false;
}
