import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';

/**
 * Whether the unit of a request that arrives at this port decides who answers it: on a line always; over Ethernet where
 * units stand behind the address, on a line of the same station, or where its type looks at its own.
 * [published: MODBUS Messaging on TCP/IP Implementation Guide V1.0b, 3.1.3.3 and 4.4.2.1: a server that is reached by its
 * IP address alone ignores the unit; 0xFF is recommended, 0 accepted] [from memory]
 */
export function looksAtUnit(reader: Reader, port: Port): boolean {
  const kindOf = (p: Port) => (p.network ? reader.get('network', p.network)?.kind : undefined);
  if ((kindOf(port) ?? 'ethernet') !== 'ethernet') return true;
  const station = reader.get('station', port.station);
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  if (profile?.checksUnit) return true;
  return childrenOf(reader, 'port', port.station).some((p) => kindOf(p) === 'serial line');
}
