import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import { formatSerial, parseSerial } from '../../wiring/serial-settings.js';

const RADIO = ['id', 'band', 'rate', 'mode'] as const;

/** Why two ports on one line, bus or radio network do not understand each other; null: they do. */
export function lineFault(reader: Reader, from: Port, to: Port): string | null {
  const name = (port: Port) => reader.get('station', port.station)?.name ?? '';
  const [a, b] = [from, to].map((port) => parseSerial(port.serial ?? ''));
  if (a?.ok && b?.ok && formatSerial(a.value) !== formatSerial(b.value)) {
    return `${name(from)} sends ${formatSerial(a.value)}, ${name(to)} listens at ${formatSerial(b.value)}`;
  }
  if (from.busRate && to.busRate && from.busRate !== to.busRate) {
    return `${name(from)} is at ${from.busRate}, ${name(to)} at ${to.busRate}`;
  }
  for (const field of RADIO) {
    const [here, there] = [from.radio?.[field], to.radio?.[field]];
    if (here && there && here.trim() !== there.trim()) {
      return `${name(from)} has ${field} ${here}, ${name(to)} ${there}`;
    }
  }
  return null;
}
