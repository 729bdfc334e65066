import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { PROTOCOLS, protocolOf } from '../protocol/catalogue.js';
import { isOnEthernet } from './port-addresses.js';

/** A protocol that a port answers calls of, and the TCP port that it listens on. */
export interface Server {
  protocol: string;
  name: string;
  tcpPort: number;
  /** false: it is the protocol's own */
  stated: boolean;
}

/** What listens on a port: what is stated there, what its exchanges ask for, and what its type can. In the catalogue's order. */
export function listeningOn(reader: Reader, port: Port): Server[] {
  if (!isOnEthernet(reader, port)) return [];
  const station = reader.get('station', port.station);
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  const asked = new Set(
    childrenOf(reader, 'end', port.id).flatMap((end) => {
      const exchange = end.calling === 'listens' ? reader.get('exchange', end.exchange) : undefined;
      return exchange ? [protocolOf(exchange).id] : [];
    }),
  );
  const known = PROTOCOLS.flatMap(({ id, name, tcpPort }) => {
    const stated = port.listens[id]?.tcpPort;
    const speech = profile?.speaks?.[id];
    const can = asked.has(id) || (speech?.roles.includes('listens') && speech.media.includes('ethernet'));
    const number = stated ?? (can ? tcpPort : null);
    return number === null ? [] : [{ protocol: id, name, tcpPort: number, stated: stated !== undefined }];
  });
  const others = Object.entries(port.listens).filter(([id]) => !PROTOCOLS.some((p) => p.id === id));
  return [...known, ...others.map(([id, { tcpPort }]) => ({ protocol: id, name: id, tcpPort, stated: true }))];
}
