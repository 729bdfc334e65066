import fc from 'fast-check';
import { convertsWhole } from './convert.js';
import { elementary, ELEMENTARY_TYPES } from './types.js';

const type = (name: string) => elementary(name)!;
const converts = (from: string, to: string) => convertsWhole(type(from), type(to));

test.each([
  ['INT', 'DINT', true],
  ['DINT', 'INT', false],
  ['UINT', 'INT', false],
  ['UINT', 'DINT', true],
  ['INT', 'UDINT', false],
  ['WORD', 'UINT', true],
  ['INT', 'REAL', true],
  ['DINT', 'REAL', false],
  ['DINT', 'LREAL', true],
  ['LINT', 'LREAL', false],
  ['REAL', 'LREAL', true],
  ['LREAL', 'REAL', false],
  ['REAL', 'DINT', false],
  ['BOOL', 'INT', false],
  ['STRING', 'STRING', true],
  ['TIME', 'LTIME', true],
  ['TIME', 'DINT', false],
])('%s into %s: %s', (from, to, whole) => {
  expect(converts(from, to)).toBe(whole);
});

/** Typed arrays of the language, which wrap and round as the types do. [library: ECMAScript typed arrays] */
const ARRAYS: Record<string, (value: number) => number> = {
  SINT: (v) => Int8Array.of(v)[0]!,
  USINT: (v) => Uint8Array.of(v)[0]!,
  BYTE: (v) => Uint8Array.of(v)[0]!,
  INT: (v) => Int16Array.of(v)[0]!,
  UINT: (v) => Uint16Array.of(v)[0]!,
  WORD: (v) => Uint16Array.of(v)[0]!,
  DINT: (v) => Int32Array.of(v)[0]!,
  UDINT: (v) => Uint32Array.of(v)[0]!,
  REAL: (v) => Float32Array.of(v)[0]!,
  LREAL: (v) => Float64Array.of(v)[0]!,
};

test('a whole conversion keeps every value; any other loses one, as typed arrays say [library: ECMAScript typed arrays]', () => {
  const whole = fc.double({ noNaN: true, noDefaultInfinity: true });
  const edges = [
    0,
    1,
    -1,
    127,
    128,
    255,
    256,
    -128,
    32767,
    32768,
    65535,
    65536,
    2 ** 24 + 1,
    2 ** 31 - 1,
    2 ** 31,
    2 ** 32 - 1,
    -(2 ** 31),
    0.1,
  ];
  for (const [from, inFrom] of Object.entries(ARRAYS)) {
    for (const [to, inTo] of Object.entries(ARRAYS)) {
      const kept = (value: number) =>
        Object.is(inTo(inFrom(value)), inFrom(value)) || inTo(inFrom(value)) === inFrom(value);
      if (converts(from, to)) {
        fc.assert(
          fc.property(whole, (value) => expect(kept(Math.trunc(value))).toBe(true)),
          { numRuns: 20 },
        );
        expect(edges.every(kept)).toBe(true);
      } else expect(edges.every(kept)).toBe(false);
    }
  }
});

test('every type converts into itself', () => {
  for (const name of ELEMENTARY_TYPES.keys()) expect(converts(name, name)).toBe(true);
});
