import { fromBcd } from '../data/bcd.js';
import { elementary } from '../data/types.js';
import { shownValue } from '../rehearse/shown-value.js';
import { ORDERS, ordersFor, type Order } from './orders.js';
import { decoded } from './number.js';
import type { Raw } from './raw.js';

/** One way to read what stands there. */
export interface Reading {
  type: string;
  order: Order;
  /** bytes that it begins after the first */
  from: number;
  value: string;
  /** why it is likely, or what it would mean */
  why: string;
  /** the likeliest has most */
  score: number;
}

const NUMBERS = ['INT', 'UINT', 'DINT', 'UDINT', 'REAL', 'LINT', 'ULINT', 'LREAL'] as const;
const MOST = 24;

/**
 * Every plausible reading, likeliest first: each type of as many bytes as are there, in every order, from the first byte and
 * one register later; as BCD and as text. Likely is what stands as it is usual, and has few digits.
 */
export function readingsOf({ bytes }: Raw): Reading[] {
  const found: Reading[] = [];
  for (const type of NUMBERS) {
    const size = elementary(type)!.bits / 8;
    for (const from of [0, 2]) {
      if (from + size > bytes.length || (from === 0 && size < Math.min(bytes.length, 8) / 2)) continue;
      for (const order of ordersFor(size)) {
        const part = ORDERS[order](bytes.slice(from, from + size));
        const number = decoded(type, part);
        found.push({
          type,
          order,
          from,
          value: shownValue(type, number),
          ...judged(type, number, order, from, size === bytes.length),
        });
      }
    }
  }
  found.push(...bcdOf(bytes), ...textsOf(bytes));
  const once = new Set<string>();
  return found
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .filter(({ type, value, from }) => {
      const key = `${type} ${value} ${from}`;
      return once.size < once.add(key).size;
    })
    .slice(0, MOST);
}

const USUAL: Record<Order, number> = {
  'as it stands': 6,
  'registers exchanged': 5,
  'bytes exchanged': 3,
  'all bytes reversed': 4,
  'registers reversed': 4,
};

function judged(type: string, number: number | bigint, order: Order, from: number, fits: boolean) {
  const usual = USUAL[order] - (from > 0 ? 2 : 0) + (fits ? 3 : 0);
  if (typeof number === 'number') {
    const size = Math.abs(number);
    const plausible = number === 0 || (size >= 1e-3 && size < 1e7);
    if (!Number.isFinite(number) || (!plausible && (size < 1e-30 || size > 1e20)))
      return { why: 'hardly a measured value', score: 0 };
    const digits = shownValue(type, number)
      .replace(/[^0-9]/g, '')
      .replace(/^0+|0+$/g, '').length;
    const round = plausible ? Math.max(0, 8 - digits) : 0;
    return {
      why: round > 2 ? 'a round number' : plausible ? 'of a usual size' : 'of an unusual size',
      score: usual + (plausible ? 4 : 0) + round,
    };
  }
  const digits = (number < 0n ? -number : number).toString().replace(/0+$/, '').length;
  const bits = elementary(type)!.bits;
  const small = (number < 0n ? -number : number) < (bits === 16 ? 30_000n : 1_000_000n);
  const signless = type.startsWith('U') && number < 1n << BigInt(bits - 1) ? 2 : 0;
  return {
    why: small ? 'a small whole number' : 'a whole number',
    score: Math.max(1, usual + (small ? 2 : -2) + Math.max(0, 3 - digits) - signless - (bits === 64 ? 3 : 0)),
  };
}

function bcdOf(bytes: Uint8Array): Reading[] {
  if (bytes.length > 4 || bytes.length % 2 !== 0) return [];
  return ordersFor(bytes.length).flatMap((order): Reading[] => {
    const raw = ORDERS[order](bytes).reduce((all, byte) => (all << 8n) | BigInt(byte), 0n);
    const value = fromBcd(raw);
    const plain = raw < 10n;
    return value === null || plain
      ? []
      : [
          {
            type: 'BCD',
            order,
            from: 0,
            value: String(value),
            why: 'no digit is above 9',
            score: 3 + (order === 'as it stands' ? 2 : 0),
          },
        ];
  });
}

function textsOf(bytes: Uint8Array): Reading[] {
  return (['as it stands', 'bytes exchanged'] as const).flatMap((order): Reading[] => {
    const part = ORDERS[order](bytes);
    const end = part.indexOf(0);
    const used = end < 0 ? part : part.subarray(0, end);
    if (used.length < 2 || !used.every((byte) => byte >= 32 && byte < 127)) return [];
    const text = String.fromCharCode(...used);
    const letters = (text.match(/[A-Za-z0-9 ]/g) ?? []).length / text.length;
    if (letters < 0.7) return [];
    const score = 2 + used.length + (order === 'as it stands' ? 2 : 0);
    return [{ type: 'STRING', order, from: 0, value: `'${text}'`, why: 'all of it can be printed', score }];
  });
}
