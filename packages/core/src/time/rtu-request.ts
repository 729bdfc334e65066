import type { SerialSettings } from '../wiring/serial-settings.js';
import { characterTime, silentInterval } from './serial-time.js';

/** The terms of one request and its answer on a serial line, in ms. */
export interface RequestTime {
  request: number;
  /** one silence after the request, one after the answer */
  silence: number;
  delay: number;
  response: number;
  total: number;
}

/**
 * Bytes of the RTU frames of a request for registers and of its answer, unit address and CRC included.
 * [published: MODBUS Application Protocol V1.1b3, 6.3 read holding registers, 6.12 write multiple registers]
 * [from memory]
 */
export function rtuBytes(does: 'reads' | 'writes', registers: number): { request: number; response: number } {
  return does === 'reads' ? { request: 8, response: 5 + 2 * registers } : { request: 9 + 2 * registers, response: 8 };
}

/** Milliseconds for one request of so many registers: request + silence + response delay + answer + silence. */
export function rtuRequestTime(
  settings: SerialSettings,
  does: 'reads' | 'writes',
  registers: number,
  delay: number,
): RequestTime {
  const bytes = rtuBytes(does, registers);
  const [request, response] = [characterTime(settings, bytes.request), characterTime(settings, bytes.response)];
  const silence = silentInterval(settings);
  return { request, silence, delay, response, total: request + silence + delay + response + silence };
}
