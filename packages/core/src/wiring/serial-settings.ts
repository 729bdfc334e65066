import type { Port } from '../model/port.js';
import { read, unread, type Read, squeezed } from '../text/read.js';

export type Parity = 'none' | 'even' | 'odd';

/** Rate in bit/s and how a character is framed. */
export interface SerialSettings {
  rate: number;
  dataBits: 7 | 8;
  parity: Parity;
  stopBits: 1 | 2;
}

const LETTERS: Record<string, Parity> = { N: 'none', E: 'even', O: 'odd' };
const EXPECTED = 'write the rate and the character, as in 9600 8E1: data bits, N, E or O for the parity, stop bits';

/** Thousands set apart, as in `115,200` and `38.400`; with a k behind it a point is that of a fraction. */
const GROUPED = /^\d{1,3}(?:[.,'\s]\d{3})+$/;

/** Reads `9600 8E1`, also `19.2k 8N1`, `115,200 8N1` and `9600,8,E,1`. Rates from 50 bit/s to 12 Mbit/s. */
export function parseSerial(text: string): Read<SerialSettings> {
  const clean = squeezed(text);
  const match =
    /^(\d{1,3}(?:[.,'\s]\d{3})+|\d+(?:[.,]\d+)?)\s*(k?)(?:\s*(?:bit\/s|Bd|baud|bps))?[\s,;/]+([5-9])[\s,-]*([neo])[\s,-]*([12])$/i.exec(
      clean,
    );
  if (!match) return unread(`“${text}” is not a valid serial setting`, EXPECTED);
  const [, number = '', thousand = '', data = '', letter = '', stop = ''] = match;
  const plain = thousand === '' && GROUPED.test(number) ? number.replace(/\D/g, '') : number.replace(',', '.');
  const rate = Math.round(Number(plain) * (thousand === '' ? 1 : 1000));
  if (thousand === '' && !/^\d+$/.test(plain)) return unread(`“${number}” bit/s is no whole rate`, EXPECTED);
  if (rate < 50 || rate > 12_000_000) return unread(`${rate} bit/s is out of range`, 'rates go from 50 to 12,000,000');
  if (data !== '7' && data !== '8') return unread(`${data} data bits`, 'a character has 7 or 8 data bits');
  const parity = LETTERS[letter.toUpperCase()]!;
  return read({ rate, dataBits: data === '7' ? 7 : 8, parity, stopBits: stop === '1' ? 1 : 2 });
}

/** `9600 8E1`. */
export function formatSerial({ rate, dataBits, parity, stopBits }: SerialSettings): string {
  return `${rate} ${dataBits}${parity[0]!.toUpperCase()}${stopBits}`;
}

/** Bits on the line per character: start, data, parity if there is one, stop (Modbus over Serial Line V1.02, 2.5.1). */
export function bitsPerCharacter({ dataBits, parity, stopBits }: SerialSettings): number {
  return 1 + dataBits + (parity === 'none' ? 0 : 1) + stopBits;
}

/** What a new member of a line takes over: the caller's settings, or else those of the first who has any. */
export function settingsOfLine(ports: readonly Port[]): string | null {
  const known = ports.filter((p) => parseSerial(p.serial ?? '').ok);
  return (known.find((p) => p.lineRole === 'calls') ?? known[0])?.serial ?? null;
}
