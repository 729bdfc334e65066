import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { hostOf } from '../wiring/host-of.js';

/** A station's ports, and those of the computer that it runs on. */
export function portsOf(reader: Reader, station: Station): Port[] {
  const host = hostOf(reader, station);
  const own = childrenOf(reader, 'port', station.id);
  return host.id === station.id ? own : [...own, ...childrenOf(reader, 'port', host.id)];
}
