import { ASSUMED_LAYOUT, type FullLayout } from '../model/layout-defaults.js';
import { registerSignificance } from './bit-in-unit.js';
import { sizeInRow, valuePositions, type Frame } from './layout.js';
import { sampleBytes } from './memory-sample.js';

const frame = (layout: Partial<FullLayout> = {}, wordBits = 16, unit = wordBits): Frame => {
  const full = { ...ASSUMED_LAYOUT, ...layout };
  return { unit, wordBits, highFirst: full.byteOrder === 'high first', layout: full };
};
const size = (base: string, count: number, layout: Partial<FullLayout> = {}, capacity?: number) =>
  sizeInRow({ base, count, capacity }, frame(layout));

test('sizes of elementary types [published: IEC 61131-3, elementary data types] [from memory]', () => {
  const sizes = {
    BYTE: 8,
    SINT: 8,
    USINT: 8,
    INT: 16,
    UINT: 16,
    WORD: 16,
    DINT: 32,
    REAL: 32,
    LINT: 64,
    LREAL: 64,
  };
  for (const [base, bits] of Object.entries(sizes)) expect(size(base, 1)).toBe(bits);
  expect(size('BOOL', 1)).toBe(1);
  // The standard leaves the size of TIME to the implementer. [common practice]
  expect(size('TIME', 1)).toBe(32);
});

test('BOOLs take a bit, a byte or a word each', () => {
  expect(size('BOOL', 10)).toBe(10);
  expect(size('BOOL', 10, { boolPacking: 'byte' })).toBe(80);
  expect(size('BOOL', 10, { boolPacking: 'word' })).toBe(160);
});

test('text takes its capacity and its header', () => {
  expect(size('STRING', 1, {}, 30)).toBe(240);
  expect(size('STRING', 1, { stringHeader: 'length' }, 30)).toBe(248);
  // STRING[30] with capacity and length is 16 words.
  expect(size('STRING', 1, { stringHeader: 'capacity and length' }, 30)).toBe(16 * 16);
});

test('four words of a 64-bit value, A the most significant [common practice]', () => {
  const names = (order: FullLayout['registerOrder']) =>
    registerSignificance(order, 4)
      .map((significance) => 'DCBA'[significance])
      .join('');
  expect(names('high first')).toBe('ABCD');
  expect(names('low first')).toBe('DCBA');
  expect(names('high first, pairs swapped')).toBe('BADC');
  expect(names('low first, pairs swapped')).toBe('CDAB');
});

test('REAL 123.456 is 42 F6 E9 79 [library: Python struct]', () => {
  expect(sampleBytes('REAL', ASSUMED_LAYOUT, 16)).toEqual(['42', 'F6', 'E9', '79']);
  expect(sampleBytes('REAL', { ...ASSUMED_LAYOUT, registerOrder: 'low first' }, 16)).toEqual(['E9', '79', '42', 'F6']);
});

test('BOOLs of a word count by significance, from the bottom or from the top', () => {
  const bools = { type: { base: 'BOOL', count: 16 }, offset: 0 };
  // Along the row of a high-first word, significance 0 is bit 0 of its second byte.
  expect([...valuePositions(bools, frame())].slice(0, 9)).toEqual([8, 9, 10, 11, 12, 13, 14, 15, 0]);
  expect([...valuePositions(bools, frame({ boolNumbering: 'from the top' }))].slice(0, 2)).toEqual([7, 6]);
  expect([...valuePositions(bools, frame({ byteOrder: 'low first' }))]).toEqual(
    Array.from({ length: 16 }, (_, i) => i),
  );
});

test('every bit of a value lies in a place of its own, inside its size', () => {
  for (const wordBits of [8, 16, 32]) {
    for (const base of ['BOOL', 'BYTE', 'INT', 'DINT', 'REAL', 'LINT', 'STRING']) {
      for (const boolPacking of ['bit', 'byte', 'word'] as const) {
        const f = frame({ boolPacking }, wordBits);
        const type = { base, count: base === 'STRING' ? 1 : 4, capacity: 6 };
        const positions = [...valuePositions({ type, offset: 64 }, f)];
        expect(new Set(positions).size).toBe(positions.length);
        const most = base === 'BOOL' ? Math.max(sizeInRow(type, f), wordBits) : sizeInRow(type, f);
        expect(positions.every((p) => p >= 64 && p < 64 + most)).toBe(true);
      }
    }
  }
});
