import type { Reader } from '../model/project.js';

/** µs in a millisecond */
export const MS = 1000;
const SCAN_MS = 10;

/** µs between two scans of a station’s program. */
export const scanOf = (reader: Reader, station: string): number =>
  (reader.get('station', station)?.scan ?? SCAN_MS) * MS;
