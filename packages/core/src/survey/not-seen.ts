import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { plannedDevices } from './planned-devices.js';
import type { Surveyed } from './survey-of.js';

/** A planned station that no list has, though its network was looked at. */
export interface NotSeen {
  station: string;
  port: string;
  network: string;
  /** ms until that may be said; 0: it may */
  wait: number;
}

/** Where no exchange says how often anything is heard of it. */
const UNHEARD_MS = 60_000;

/**
 * The planned stations on networks that were looked at and that nobody found. *Not seen* is said only once the longest time
 * has passed after which anything must be heard of them: cadence and timeout of their slowest exchange. `now` as ISO 8601.
 */
export function notSeen(project: Project, rows: readonly Surveyed[], now: string): NotSeen[] {
  const looked = new Map<string, number>();
  const seen = new Set<string>();
  for (const { id, port, station, state } of rows) {
    if (station === null || state === 'not ours') continue;
    seen.add(station);
    const network = port === null ? undefined : project.get('port', port)?.network;
    const at = Date.parse(project.get('found', id)?.at ?? '');
    if (network && !Number.isNaN(at)) looked.set(network, Math.max(looked.get(network) ?? 0, at));
  }
  return plannedDevices(project).flatMap(({ station, port }) => {
    const since = port?.network ? looked.get(port.network) : undefined;
    if (!port?.network || since === undefined || seen.has(station.id) || station.runsOn) return [];
    const wait = Math.max(0, since + heardAfter(project, station.id) - Date.parse(now));
    return [{ station: station.id, port: port.id, network: port.network, wait }];
  });
}

/** ms after which something must be heard of a station. */
export function heardAfter(project: Project, station: string): number {
  const times = childrenOf(project, 'end', station).flatMap((end) => {
    const exchange = project.get('exchange', end.exchange);
    return exchange?.cadence ? [exchange.cadence + (exchange.timeout ?? 2 * exchange.cadence)] : [];
  });
  return times.length === 0 ? UNHEARD_MS : Math.max(...times);
}
