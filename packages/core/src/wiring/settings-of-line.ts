import type { Port } from '../model/port.js';
import { parseSerial } from './serial-settings.js';

/** What a new member of a line takes over: the caller's settings, or else those of the first who has any. */
export function settingsOfLine(ports: readonly Port[]): string | null {
  const known = ports.filter((p) => parseSerial(p.serial ?? '').ok);
  return (known.find((p) => p.lineRole === 'calls') ?? known[0])?.serial ?? null;
}
