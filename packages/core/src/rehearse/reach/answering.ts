import { childrenOf } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import type { Station } from '../../model/station.js';
import { looksAtUnit } from '../../wiring/looks-at-unit.js';
import { byNumber } from './by-number.js';

/**
 * Who answers a request for a unit that arrives at a port over Ethernet: the station itself; one on a line behind it; nobody, where
 * the station passes requests on and none there has that unit (`none behind it`), or where it has another unit of its own (`not it`).
 */
export function answering(reader: Reader, port: Port, unit: number): Station | 'itself' | 'none behind it' | 'not it' {
  const ethernet = !port.network || reader.get('network', port.network)?.kind === 'ethernet';
  if (!ethernet || !looksAtUnit(reader, port)) return 'itself';
  if (unit === 255 || unit === 0 || port.unit === unit) return 'itself';
  const station = reader.get('station', port.station);
  const profile = station?.profile ? reader.get('profile', station.profile) : undefined;
  const passes = Object.values(profile?.forwards ?? {}).some(({ what }) => /^requests/.test(what));
  if (!passes) return port.unit === null ? 'itself' : 'not it';
  for (const line of childrenOf(reader, 'port', port.station)) {
    if (!line.network || reader.get('network', line.network)?.kind !== 'serial line') continue;
    const there = byNumber(reader, line, 'unit', String(unit));
    if (there.ok) return reader.get('station', there.port.station) ?? 'none behind it';
  }
  return 'none behind it';
}
