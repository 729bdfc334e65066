import type { SerialSettings } from '../wiring/serial-settings.js';

/**
 * Bits of one character on the line: a start bit, the data bits, the parity bit if there is one, and the stop bits.
 * [published: MODBUS over Serial Line V1.02, 2.5.1] [from memory]
 */
export const bitsPerCharacter = ({ dataBits, parity, stopBits }: SerialSettings): number =>
  1 + dataBits + (parity === 'none' ? 0 : 1) + stopBits;

/** Milliseconds that so many characters take without a gap. */
export const characterTime = (settings: SerialSettings, characters: number): number =>
  (characters * bitsPerCharacter(settings) * 1000) / settings.rate;

/** Above this rate the silence no longer gets shorter. */
const FIXED_ABOVE = 19_200;
const FIXED_SILENCE = 1.75;

/**
 * Milliseconds of silence that separate two RTU frames: 3.5 characters, and 1.750 ms above 19,200 bit/s.
 * [published: MODBUS over Serial Line V1.02, 2.5.1.1] [from memory]
 */
export const silentInterval = (settings: SerialSettings): number =>
  settings.rate > FIXED_ABOVE ? FIXED_SILENCE : characterTime(settings, 3.5);
