import fc from 'fast-check';
import { ASSUMED_LAYOUT, type FullLayout } from '../model/layout-defaults.js';
import { SWAPS, type Carried, type Swap } from '../model/words.js';
import { arrives, received, type ChainSide } from './chain.js';
import { swapped } from './swap.js';
import { bitsToValue, formatValue, valueToBits } from './values.js';

const side = (layout: Partial<FullLayout>, swap: Swap, payloadWords: number, carries: Carried = 'words'): ChainSide => {
  const full = { ...ASSUMED_LAYOUT, ...layout };
  return {
    frame: { unit: 16, wordBits: 16, highFirst: full.byteOrder === 'high first', layout: full },
    swap,
    carries,
    start: 0,
    first: 0,
    counted: false,
    payloadBits: payloadWords * 16,
  };
};
const at = (base: string, word: number) => ({ type: { base, count: 1 }, offset: word * 16 });
const seen = (a: ChainSide, b: ChainSide, base: string, word: number, value: number | bigint) =>
  formatValue(base, bitsToValue(base, received(a, b, at(base, word), at(base, word), valueToBits(base, value))));

/** INT 7 and REAL 123.456: words 0007 42F6 E979, swapped in pairs 42F6 0007 E979. [library: Python struct] */
test('a swap is blind: it exchanges an INT with half a REAL', () => {
  const [a, b] = [side({}, 'words', 3), side({}, 'none', 3)];
  const word = (index: number) => ({ type: { base: 'WORD', count: 1 }, offset: index * 16 });
  const carriedWord = (from: number, to: number, value: number) =>
    bitsToValue('WORD', received(a, b, word(from), word(to), valueToBits('WORD', value)));
  expect(carriedWord(0, 1, 0x0007)).toBe(0x0007n);
  expect(carriedWord(1, 0, 0x42f6)).toBe(0x42f6n);
  expect(carriedWord(2, 2, 0xe979)).toBe(0xe979n);
  // So the INT reads 42F6, which is 17142, and the REAL 0007 E979, which is 7.266e−40.
  expect(bitsToValue('INT', valueToBits('UINT', 0x42f6))).toBe(17142n);
  expect(bitsToValue('REAL', valueToBits('UDINT', 0x0007e979))).toBeCloseTo(7.266e-40, 42);
  expect(arrives(a, b, at('INT', 0), at('INT', 0))).toBe(false);
  expect(arrives(a, b, at('REAL', 1), at('REAL', 1))).toBe(false);
});

test('with a spare word after the INT, a swap mends the REAL between ends of different register order', () => {
  const [a, b] = [side({}, 'words', 4), side({ registerOrder: 'low first' }, 'none', 4)];
  expect(arrives(a, b, at('REAL', 2), at('REAL', 2))).toBe(true);
  // The INT lands one word late.
  expect(arrives(a, b, at('INT', 0), at('INT', 0))).toBe(false);
  expect(arrives(a, b, at('INT', 0), at('INT', 1))).toBe(true);
});

test('an INT over words arrives whatever the byte order; over bytes only between equal orders', () => {
  const orders = [{}, { byteOrder: 'low first' as const }];
  expect(arrives(side(orders[0]!, 'none', 1), side(orders[1]!, 'none', 1), at('INT', 0), at('INT', 0))).toBe(true);
  const [a, b] = orders.map((o) => side(o, 'none', 1, 'bytes'));
  expect(arrives(a!, b!, at('INT', 0), at('INT', 0))).toBe(false);
  expect(seen(a!, b!, 'INT', 0, 4660)).toBe('13330');
});

test('AB from high byte first to low byte first: BA over words, AB over bytes', () => {
  const text = { type: { base: 'STRING', count: 1, capacity: 2 }, offset: 0 };
  const bits = (chars: string) => Uint8Array.from([...chars].flatMap((c) => [...valueToBits('BYTE', c.charCodeAt(0))]));
  const over = (carries: Carried) =>
    received(
      side({}, 'none', 1, carries),
      side({ byteOrder: 'low first' }, 'none', 1, carries),
      text,
      text,
      bits('AB'),
    );
  expect([...over('words')]).toEqual([...bits('BA')]);
  expect([...over('bytes')]).toEqual([...bits('AB')]);
});

test('two swaps of one kind are none, and a remainder stays', () => {
  const bit = fc.integer({ min: 0, max: 4095 });
  fc.assert(
    fc.property(bit, fc.constantFrom(...SWAPS), fc.integer({ min: 1, max: 256 }), (index, swap, bytes) => {
      const bits = bytes * 8;
      const once = swapped(index % bits, swap, bits);
      return once >= 0 && once < bits && swapped(once, swap, bits) === index % bits;
    }),
  );
  expect(swapped(32, 'words', 48)).toBe(32);
});
