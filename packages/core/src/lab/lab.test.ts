import fc from 'fast-check';
import table from '../data/struct-table.testing.json';
import { explainSeen } from './explain-seen.js';
import { decoded, encoded } from './number.js';
import { readRaw } from './raw.js';
import { readingsOf } from './readings.js';

const bytesOf = (text: string): number[] => {
  const read = readRaw(text);
  return read.ok ? Array.from(read.value.bytes) : [];
};
const first = (expected: string, seen: string) => {
  const all = explainSeen(expected, seen);
  return typeof all === 'string' ? all : all[0]?.sentence;
};

test.each([
  ['3F80 0000', [0x3f, 0x80, 0, 0]],
  ['0x3F80, 0x0000', [0x3f, 0x80, 0, 0]],
  ['[16256, 0]', [0x3f, 0x80, 0, 0]],
  ['16#3F80 16#0', [0x3f, 0x80, 0, 0]],
  ['3F80h 0000h', [0x3f, 0x80, 0, 0]],
  ['3f 80 00 00', [0x3f, 0x80, 0, 0]],
  ['-1', [0xff, 0xff]],
  ['3F800000', [0x3f, 0x80, 0, 0]],
])('%s is read as bytes, the high one of each register first', (text, bytes) => {
  expect(bytesOf(text)).toEqual(bytes);
});

test.each(['', 'abc xyz', '70000', '1.5'])('“%s” is no listing, and says so', (text) => {
  const read = readRaw(text);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.expected).toContain('registers in decimal');
});

interface Row {
  type: string;
  value: string;
  bytes: string;
  words?: { bytes: string; value: string };
  exchanged: { bytes: string; value: string };
  all: { bytes: string; value: string };
}

// What is no plausible measured value may be left out: the largest whole numbers of 64 bits are.
const plausible = (table as Row[]).filter(({ type, value }) => !/^U?LINT$/.test(type) || Math.abs(Number(value)) < 1e9);
// [library: Python struct], by struct-table.testing.py
test.each(plausible)('$type $value, in whatever order its bytes stand, is among the readings', (row) => {
  for (const bytes of [row.bytes, row.words?.bytes, row.exchanged.bytes, row.all.bytes]) {
    if (bytes === undefined) continue;
    const found = readingsOf({ bytes: Uint8Array.from(Buffer.from(bytes, 'hex')), registers: true });
    const own = found
      .filter(({ type, from }) => type === row.type && from === 0)
      .map(({ value }) => Number(value.replace('−', '-')));
    const near = own.some((value) => Math.abs(value - Number(row.value)) <= Math.abs(Number(row.value)) * 1e-6);
    expect(near).toBe(true);
  }
});

// [library: Node DataView]
test('numbers become bytes and come back as DataView has it', () => {
  const view = new DataView(new ArrayBuffer(8));
  fc.assert(
    fc.property(fc.float({ noNaN: true }), fc.integer({ min: -(2 ** 31), max: 2 ** 31 - 1 }), (real, whole) => {
      view.setFloat32(0, real);
      expect(Array.from(encoded('REAL', real))).toEqual(Array.from(new Uint8Array(view.buffer, 0, 4)));
      view.setInt32(0, whole);
      expect(Array.from(encoded('DINT', BigInt(whole)))).toEqual(Array.from(new Uint8Array(view.buffer, 0, 4)));
      expect(decoded('DINT', new Uint8Array(view.buffer, 0, 4))).toBe(BigInt(whole));
    }),
  );
});

// [library: Python struct]: 1.0 with its registers exchanged is 2.278E-41; 123.456 is −4.097E-11.
test.each([
  ['1.0', '2.278E-41', 'the two registers are exchanged'],
  ['1.0', '2,278E−41', 'the two registers are exchanged'],
  ['4660', '13330', 'the two bytes of each register are exchanged'],
  ['-1', '65535', 'INT is taken as UINT'],
  ['1.0', '1065353216', 'REAL is taken as DINT'],
  ['100', '6553600', 'the two registers are exchanged'],
  ['23.5', '235', 'one place of the decimal point: tenths at one end'],
  ['50', '13824', 'the raw number of an analogue point, not yet scaled: 27,648 is 100 %'],
  ["'PUMP'", "'UPPM'", 'its letters are exchanged in pairs: the two bytes of each register are exchanged'],
  ["'OIL FILTER'", "'OIL F'", 'only 5 of 10 characters arrive: the text is shorter at one end'],
  ['7', '7', 'that is what was expected'],
  ['seven', '7', '“seven” is no number; a text stands in quotes'],
])('expected %s, saw %s: %s', (expected, seen, sentence) => {
  expect(first(expected, seen)).toBe(sentence);
});

test('what a likely reading is: 0 16256 is 1.0 with its registers exchanged, before all else', () => {
  const read = readRaw('0 16256');
  if (!read.ok) throw new Error(read.found);
  const [best] = readingsOf(read.value);
  expect([best?.type, best?.value, best?.order]).toEqual(['REAL', '1.0', 'registers exchanged']);
});
