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

/** Whether two stations run on one computer, so that a loopback address leads from one to the other. */
export function onOneComputer(reader: Reader, a: string, b: string): boolean {
  const [one, other] = [reader.get('station', a), reader.get('station', b)];
  return one !== undefined && other !== undefined && hostOf(reader, one).id === hostOf(reader, other).id;
}
