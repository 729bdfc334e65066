import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { ASSUMED_LAYOUT, type FullLayout } from '../model/layout-defaults.js';
import { received, type ChainSide } from './chain.js';
import type { Frame } from './layout.js';
import { bitsToValue, formatValue, valueToBits } from './values.js';
import { valuePositions } from './layout.js';

interface Row {
  type: string;
  value: string;
  bytes: string;
  words?: { bytes: string; value: string };
  exchanged: { bytes: string; value: string };
  all: { bytes: string; value: string };
}
/** [library: Python struct] made by struct-table.testing.py, checked in. */
const TABLE = JSON.parse(readFileSync(join(__dirname, 'struct-table.testing.json'), 'utf8')) as Row[];

const numberOf = (type: string, text: string) => (type.endsWith('REAL') ? Number(text) : BigInt(text));
const frame = (layout: Partial<FullLayout> = {}, wordBits = 16): Frame => {
  const full = { ...ASSUMED_LAYOUT, ...layout };
  return { unit: wordBits, wordBits, highFirst: full.byteOrder === 'high first', layout: full };
};

/** The bytes in memory, in order along the row. */
function inMemory(type: string, value: number | bigint, f: Frame): string {
  const bits = valueToBits(type, value);
  const bytes = new Array<number>(bits.length / 8).fill(0);
  valuePositions({ type: { base: type, count: 1 }, offset: 0 }, f).forEach((at, i) => {
    bytes[at >> 3]! |= bits[i]! << (at & 7);
  });
  return bytes
    .map((b) => b.toString(16).padStart(2, '0'))
    .join('')
    .toUpperCase();
}

const side = (f: Frame): ChainSide => ({
  frame: f,
  swap: 'none',
  carries: 'bytes',
  payloadBits: 64,
  start: 0,
  first: 0,
  counted: false,
});
const read = (type: string, value: number | bigint, from: Frame, to: Frame) => {
  const item = { type: { base: type, count: 1 }, offset: 0 };
  return bitsToValue(type, received(side(from), side(to), item, item, valueToBits(type, value)));
};

describe.each(TABLE)('$type $value', (row) => {
  const value = numberOf(row.type, row.value);

  test('high byte and high register first are the bytes of struct', () => {
    expect(inMemory(row.type, value, frame())).toBe(row.bytes);
  });

  test('low first throughout, in words and in bytes, is the reverse', () => {
    expect(inMemory(row.type, value, frame({ byteOrder: 'low first', registerOrder: 'low first' }))).toBe(
      row.all.bytes,
    );
    expect(inMemory(row.type, value, frame({ registerOrder: 'low first' }, 8))).toBe(row.all.bytes);
  });

  test('read in another order it is what struct makes of the rearranged bytes', () => {
    const expected = (key: 'all' | 'words' | 'exchanged') => numberOf(row.type, row[key]!.value);
    const exchanged = read(row.type, value, frame(), frame({ byteOrder: 'low first', registerOrder: 'low first' }));
    expect(exchanged).toEqual(expected('all'));
    expect(read(row.type, value, frame(), frame({ byteOrder: 'low first' }))).toEqual(expected('exchanged'));
    if (row.words && row.bytes.length === 8) {
      const swapped = read(row.type, value, frame(), frame({ registerOrder: 'low first' }));
      expect(swapped).toEqual(expected('words'));
    }
    if (row.words && row.bytes.length === 16) {
      const pairs = read(row.type, value, frame(), frame({ registerOrder: 'high first, pairs swapped' }));
      expect(pairs).toEqual(expected('words'));
    }
  });
});

test('the table of a value stored as A B C D [library: Python struct]', () => {
  const orders: [string, Partial<FullLayout>][] = [
    ['CDAB', { registerOrder: 'low first' }],
    ['BADC', { byteOrder: 'low first' }],
    ['DCBA', { byteOrder: 'low first', registerOrder: 'low first' }],
  ];
  const seen = (type: string, value: number | bigint) =>
    orders.map(([, layout]) => formatValue(type, read(type, value, frame(), frame(layout))));
  expect(seen('REAL', 123.456)).toEqual(['−1.8833671e+25', '−9.8611155e+32', '1.5184998e+35']);
  expect(seen('DINT', 100000n)).toEqual(['−2036334591', '16818310', '−1601830656']);
  expect(seen('DINT', -2n)).toEqual(['−65537', '−257', '−16777217']);
});

test.each(['SINT', 'INT', 'DINT', 'LINT', 'USINT', 'UINT', 'UDINT', 'ULINT'])('%s to bits and back', (type) => {
  const bits = valueToBits(type, 0).length;
  const signed = !type.startsWith('U');
  const [min, max] = signed ? [-(2n ** BigInt(bits - 1)), 2n ** BigInt(bits - 1) - 1n] : [0n, 2n ** BigInt(bits) - 1n];
  fc.assert(fc.property(fc.bigInt({ min, max }), (n) => bitsToValue(type, valueToBits(type, n)) === n));
});
