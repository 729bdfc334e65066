import {
  contains,
  formatIpv4,
  formatSubnet,
  lastAddress,
  parseIpv4,
  parseMask,
  parseSubnet,
  subnetOf,
} from '../wiring/ipv4.js';
import { read, unread, type Read } from '../text/read.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Condition } from './hop.js';

/** The addresses that a tunnel gives to those who come in, both included. */
export interface Pool {
  first: number;
  last: number;
}

/** `192.168.170.1–192.168.170.8`, `192.168.170.1-8` or `192.168.170.0/29`. */
export function parsePool(text: string): Read<Pool> {
  const expected = 'write the first and the last address, as in 192.168.170.1–192.168.170.8, or a subnet';
  if (text.includes('/')) {
    const subnet = parseSubnet(text);
    return subnet.ok ? read({ first: subnet.value.network, last: lastAddress(subnet.value) }) : subnet;
  }
  const [from = '', to = ''] = text.split(/\s*[–-]\s*/);
  const first = parseIpv4(from);
  if (!first.ok) return unread(`“${text}” is not a valid pool of addresses`, expected);
  const whole = /^\d{1,3}$/.test(to) ? `${from.trim().split('.').slice(0, 3).join('.')}.${to}` : to || from;
  const last = parseIpv4(whole);
  if (!last.ok) return unread(`“${text}” is not a valid pool of addresses`, expected);
  if (last.value < first.value) return unread(`“${text}” ends before it begins`, expected);
  return read({ first: first.value, last: last.value });
}

/**
 * What must be true where service traffic comes in by a tunnel: its pool is known, and shares no address with a subnet on
 * either side, for such an address would lead to the network and not into the tunnel. [common practice]
 */
export function tunnelConditions(reader: Reader, arrived: Port, caller: Port): Condition[] {
  if (arrived.tunnel === undefined || arrived.tunnel === null) return [];
  const cell = { kind: 'port' as const, id: arrived.id, path: ['tunnel'] };
  const text = arrived.tunnel.trim();
  const name = reader.get('station', arrived.station)?.name ?? '';
  const pool = parsePool(text);
  const shared = pool.ok ? sharedWith(reader, pool.value, [arrived.station, caller.station]) : null;
  return [
    {
      holds: text === '' ? null : pool.ok && shared === null,
      code: 'ROU 3',
      cell,
      short: `a tunnel of its own, ${text}`,
      must: `the tunnel of ${name} gives callers addresses of a pool of its own, ${text || 'not known yet'}`,
      found: pool.ok ? `${text} shares addresses with ${shared ?? ''}` : `${pool.found}; ${pool.expected}`,
    },
  ];
}

/** The first subnet of these stations that the pool reaches into. */
function sharedWith(reader: Reader, { first, last }: Pool, stations: readonly string[]): string | null {
  for (const port of stations.flatMap((station) => childrenOf(reader, 'port', station))) {
    const [address, mask] = [parseIpv4(port.address), parseMask(port.mask)];
    if (!address.ok || !mask.ok || address.value === 0) continue;
    const subnet = subnetOf(address.value, mask.value);
    const reaches =
      contains(subnet, first) || contains(subnet, last) || (first < subnet.network && last > subnet.network);
    const name = reader.get('station', port.station)?.name ?? '';
    if (reaches) return `${formatSubnet(subnet)}, where ${name} has ${formatIpv4(address.value)}`;
  }
  return null;
}
