import { read, unread, type Read } from '../text/read.js';

/** Rates of token-bus cyclic I/O in bit/s (IEC 61158 type 3). */
export const BUS_RATES = [
  9600, 19_200, 45_450, 93_750, 187_500, 500_000, 1_500_000, 3_000_000, 6_000_000, 12_000_000,
] as const;

/** Reads `500 kbit/s`, `1.5 Mbit/s`, `9600`; only rates that the bus has. */
export function parseBusRate(text: string): Read<number> {
  const match = /^(\d+(?:[.,]\d+)?)\s*([kM]?)(?:bit\/s|bps|Bd|baud)?$/i.exec(text.trim());
  const expected = `the bus has ${BUS_RATES.map(formatBusRate).join(', ')}`;
  if (!match) return unread(`“${text}” is not a valid rate`, expected);
  const scale = { '': 1, k: 1000, m: 1_000_000 }[match[2]!.toLowerCase()]!;
  const rate = Math.round(Number(match[1]!.replace(',', '.')) * scale);
  return (BUS_RATES as readonly number[]).includes(rate)
    ? read(rate)
    : unread(`${formatBusRate(rate)} is none`, expected);
}

export function formatBusRate(rate: number): string {
  return rate >= 1_000_000 ? `${rate / 1_000_000} Mbit/s` : `${rate / 1000} kbit/s`;
}
