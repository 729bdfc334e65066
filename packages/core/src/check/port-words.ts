import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';

export const stationName = (reader: Reader, id: string): string => reader.get('station', id)?.name ?? '';

/** `Meter2`; with the port's name, `ServiceLaptop (adapter 2)`, where the station has several on that network, or on none. */
export function portName(reader: Reader, port: Port): string {
  const station = stationName(reader, port.station);
  const alike = childrenOf(reader, 'port', port.station).filter((p) => p.network === port.network);
  return port.name && (alike.length > 1 || port.network === null) ? `${station} (${port.name})` : station;
}

/** The cell of one field of a port. */
export const portCell = (port: Port, ...path: string[]) => ({ kind: 'port', id: port.id, path }) as const;
