import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';

/** The computer that a station runs on: itself, unless it is software on another. Ends where they name each other. */
export function hostOf(reader: Reader, station: Station): Station {
  const seen = new Set<string>();
  let host = station;
  while (host.runsOn && !seen.has(host.id)) {
    seen.add(host.id);
    const next = reader.get('station', host.runsOn);
    if (!next) break;
    host = next;
  }
  return host;
}

/** A station's ports, and those of the computer that it runs on. */
export function portsOf(reader: Reader, station: Station): Port[] {
  const host = hostOf(reader, station);
  const own = childrenOf(reader, 'port', station.id);
  return host.id === station.id ? own : [...own, ...childrenOf(reader, 'port', host.id)];
}
