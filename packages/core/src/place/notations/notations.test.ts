import fc from 'fast-check';
import { ASSUMED_LAYOUT } from '../../model/layout-defaults.js';
import { newArea, newStation } from '../../create/new-entities.js';
import type { View } from '../../model/view.js';
import { formatAddress, formatRange, formatSpan, placeAlong, spanAddresses } from '../format-address.js';
import type { Memory } from '../memory.js';
import { parseAddress } from '../parse-address.js';
import { locate, resolve } from '../resolve.js';
import { BYTE_ORDERS, type ByteOrder, type WordBits } from '../../model/words.js';

const VIEWS: Record<string, View> = {
  mb: { order: 1, name: 'bytes', notation: 'iec bytes', prefix: 'M', unit: 8, first: 0 },
  me: { order: 2, name: 'elements', notation: 'iec elements', prefix: 'M', unit: 16, first: 0 },
  r5: { order: 3, name: 'references', notation: 'reference 5', table: 'holding registers', unit: 16, first: 1 },
  r6: { order: 4, name: 'references', notation: 'reference 6', table: 'holding registers', unit: 16, first: 1 },
  c: { order: 5, name: 'coils', notation: 'reference 6', table: 'coils', unit: 1, first: 1 },
  i: { order: 6, name: 'inputs', notation: 'reference 5', table: 'input registers', unit: 16, first: 1 },
  w: { order: 7, name: 'words', notation: 'prefix and number', prefix: 'w', unit: 16, first: 0 },
  k: { order: 8, name: 'elements of 32', notation: 'prefix and number', prefix: 'k', unit: 32, first: 0 },
  b: { order: 9, name: 'bytes', notation: 'prefix and number', prefix: 'b', unit: 8, first: 0 },
  t: { order: 10, name: 'tables', notation: 'table and number', table: 'holding registers', unit: 16, first: 1 },
  tc: { order: 11, name: 'coils apart', notation: 'table and number', table: 'coils', unit: 1, first: 1 },
  p: { order: 12, name: 'addresses', notation: 'protocol address', table: 'holding registers', unit: 16, first: 0 },
  z: { order: 13, name: 'filled up', notation: 'prefix and number', prefix: 'D', digits: 5, unit: 16, first: 0 },
  h: { order: 14, name: 'hex', notation: 'prefix and number', prefix: 'W', radix: 'hexadecimal', unit: 16, first: 0 },
  o: { order: 15, name: 'offset', notation: 'byte offset', unit: 8, first: 0 },
  n: { order: 16, name: 'elements', notation: 'name and element', prefix: 'Data', unit: 32, first: 0 },
};

function memory(ids: readonly string[], byteOrder: ByteOrder = 'high first', wordBits: WordBits = 16): Memory {
  const area = { ...newArea('area', 1, 's', 'Memory'), wordBits, words: 65_536 };
  return {
    area,
    station: newStation('s', 1, 'S'),
    wordBits,
    bits: area.words * wordBits,
    layout: { ...ASSUMED_LAYOUT, byteOrder },
    views: ids.map((id) => [id, VIEWS[id]!] as const),
  };
}

/** Spans of a text in this memory. */
function spans(m: Memory, text: string, length: number) {
  const place = parseAddress(text, [m]);
  if (!place.ok) throw new Error(`${place.found}; ${place.expected}`);
  return resolve(m, place.value, length);
}

const run = (start: number, bits: number) => [{ start, end: start + bits }];

describe('what an address means', () => {
  test('40001 is protocol address 0, and 400001 the same register [published: MODBUS Application Protocol V1.1b3, 4.4, for counting from 1] [from memory] [common practice: the digit of the table]', () => {
    expect(spans(memory(['r5', 'r6']), '40001', 16)).toEqual(run(0, 16));
    expect(spans(memory(['r5', 'r6']), '400001', 16)).toEqual(run(0, 16));
    expect(spans(memory(['r5', 'r6']), '465536', 16)).toEqual(run(65_535 * 16, 16));
  });

  test('%MW10 moves by a factor of two between bytes and elements [common practice: both are in use]', () => {
    expect(spans(memory(['mb']), '%MW10', 16)).toEqual(run(80, 16));
    expect(spans(memory(['me']), '%MW10', 16)).toEqual(run(160, 16));
  });

  test('%MD10 is bytes 10–13 where bytes are numbered, words 20–21 where elements are [common practice]', () => {
    expect(spans(memory(['mb'], 'low first'), '%MD10', 32)).toEqual(run(80, 32));
    expect(spans(memory(['me']), '%MD10', 32)).toEqual(run(20 * 16, 32));
  });

  test('bytes 1–2 of a high-first area of words are two runs', () => {
    expect(spans(memory(['b'], 'high first'), 'b1', 16)).toEqual([
      { start: 0, end: 8 },
      { start: 24, end: 32 },
    ]);
    expect(spans(memory(['b'], 'low first'), 'b1', 16)).toEqual(run(8, 16));
  });

  test('16-bit element n is coils 16n+1 to 16n+16; 32-bit element k is words 2k and 2k+1 [common practice]', () => {
    const m = memory(['c', 'w', 'k', 'r6']);
    for (const n of [0, 1, 7]) {
      const element = spans(m, `w${n}`, 16);
      expect(spans(m, `0${String(16 * n + 1).padStart(5, '0')}`, 16)).toEqual(element);
      expect(spans(m, `4${String(n + 1).padStart(5, '0')}`, 16)).toEqual(element);
      expect(spans(m, `k${n}`, 32)).toEqual(spans(m, `w${2 * n}`, 32));
    }
  });

  test('coils 1–12 over words kept high byte first are two runs of byte bits', () => {
    const coils = spans(memory(['c'], 'high first'), '000001', 12)!;
    expect(coils).toEqual(run(0, 12));
    // Seen in bytes: bits 0–7 are byte 1, bits 8–11 are byte 0.
    expect(spans(memory(['b'], 'high first'), 'b1', 8)).toEqual(run(0, 8));
    expect(spans(memory(['b'], 'high first'), 'b0', 8)).toEqual(run(8, 8));
  });

  test('byte offset 3000 is word 1500 [common practice]', () => {
    const m = memory(['b', 'w']);
    expect(spans(m, 'b3000', 16)).toEqual(spans(m, 'w1500', 16));
  });

  test('one register in six notations: 40101, 400101, 4:101, 4x101, protocol address 100, 16#64 [common practice]', () => {
    const m = memory(['r5', 'r6', 't', 'p']);
    for (const text of ['40101', '400101', '4:101', '4x00101', '4 101', '100', '16#64']) {
      expect(spans(m, text, 16)).toEqual(run(100 * 16, 16));
    }
    expect(spans(memory(['tc']), '0:17', 1)).toEqual(run(16, 1));
  });

  test('filled up with zeros, hexadecimal, an offset in bytes, an element of an array', () => {
    expect(spans(memory(['z']), 'D00100', 16)).toEqual(run(1600, 16));
    expect(spans(memory(['z']), 'D100', 16)).toEqual(run(1600, 16));
    expect(spans(memory(['h']), 'W64', 16)).toEqual(run(1600, 16));
    expect(spans(memory(['o']), 'byte 200', 16)).toEqual(run(1600, 16));
    expect(spans(memory(['o'], 'low first'), '200.3', 1)).toEqual(run(1603, 1));
    expect(spans(memory(['n']), 'data[50]', 32)).toEqual(run(1600, 32));
    const shown = (id: string, number: number) => formatAddress(memory([id]), { area: 'area', view: id, number });
    expect(shown('z', 100)).toBe('D00100');
    expect(shown('h', 0xa1f)).toBe('WA1F');
    expect(shown('o', 200)).toBe('byte 200');
    expect(shown('n', 50)).toBe('Data[50]');
    expect(shown('tc', 17)).toBe('0:17');
  });

  test('a window of n elements at s ends at s+n−1 [common practice]', () => {
    const m = memory(['w']);
    const place = parseAddress('w1264', [m]);
    expect(place.ok && formatRange(m, place.value, 5 * 16)).toBe('w1264–w1268');
  });

  test('bit 3 of a word is its bit of significance 3', () => {
    expect(spans(memory(['me']), '%MX10.3', 1)).toEqual(run(163, 1));
    expect(spans(memory(['w'], 'low first'), 'w10.3', 1)).toEqual(run(163, 1));
    expect(spans(memory(['mb'], 'high first'), '%MX21.3', 1)).toEqual(run(163, 1));
  });
});

describe('a run of bits as addresses', () => {
  test('bytes of words kept high first: 32 words are bytes 0–63, and word 2 alone is bytes 4 and 5', () => {
    const bytes = memory(['b'], 'high first');
    expect(formatSpan(bytes, { start: 0, end: 32 * 16 })).toBe('b0–b63');
    expect(formatSpan(bytes, { start: 32, end: 48 })).toBe('b4–b5');
    // The lower half of word 2 is byte 5.
    expect(formatSpan(bytes, { start: 32, end: 40 })).toBe('b5');
    expect(formatSpan(memory(['b'], 'low first'), { start: 32, end: 40 })).toBe('b4');
  });

  test('is the range that the same bits were typed as', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BYTE_ORDERS),
        fc.constantFrom('b', 'w', 'c'),
        fc.nat(200),
        fc.integer({ min: 1, max: 40 }),
        (order, id, start, count) => {
          const m = memory([id], order);
          const view = VIEWS[id]!;
          // Whole words, for which the bits are one run.
          const perWord = 16 / view.unit;
          const number = view.first + start * perWord;
          const place = { area: 'area', view: id, number };
          const length = count * 16;
          const [span] = resolve(m, place, length)!;
          const last = formatAddress(m, { ...place, number: number + count * perWord - 1 });
          const first = formatAddress(m, place);
          expect(spanAddresses(m, span!)).toEqual({ first, last });
        },
      ),
    );
  });
});

describe('what cannot be is refused with what would be right', () => {
  const wrong = (ids: string[], text: string) => {
    const read = parseAddress(text, [memory(ids)]);
    return read.ok ? `taken as ${JSON.stringify(read.value)}` : `${read.found}; ${read.expected}`;
  };
  test.each([
    [['r5'], '49999x', 'an address here looks like 40101'],
    [['r5'], '40000', 'references are 1 to 9999'],
    [['r6'], '465537', 'references are 1 to 65536'],
    [['mb'], '%MX10', 'has no bit number'],
    [['mb'], '%MX10.8', 'bits are 0 to 7'],
    [['me'], '%MW10.16', 'bits are 0 to 15'],
    [['w'], 'w10.16', 'bits are 0 to 15'],
    [['w'], '%MW10', 'an address here looks like w100'],
    [['p'], '65536', 'protocol addresses are 0 to 65535'],
    [['t'], '4:65537', 'references are 1 to 65536'],
    [['t'], '0x17', 'write 0:17 for the coil, or 16#17, which is 23'],
    [['p'], '0x1F', 'can be read twice'],
    [['n'], 'Data[2].32', 'bits are 0 to 31'],
    [['h'], 'W1G', 'an address here looks like W64'],
    [['w'], '1,5', 'is not an address of this station'],
    [[], 'w1', 'has no area with a notation yet'],
  ])('%s %s', (ids, text, words) => {
    expect(wrong(ids, text)).toContain(words);
  });
});

describe.each(Object.keys(VIEWS))('view %s', (id) => {
  const view = VIEWS[id]!;

  test('parse is the inverse of format on everything legal', () => {
    const widths = view.notation.startsWith('iec') ? ([8, 16, 32, 64] as const) : ([undefined] as const);
    const most = view.notation === 'reference 5' ? 9999 : 65_000;
    fc.assert(
      fc.property(
        fc.integer({ min: view.first, max: most }),
        fc.constantFrom(...widths),
        fc.nat(63),
        (number, width, bit) => {
          const m = memory([id]);
          const withBit = view.unit !== 1 && bit % 2 === 0;
          const limit = view.notation === 'iec bytes' ? 8 : (width ?? view.unit);
          const place = {
            area: 'area',
            view: id,
            number,
            ...(width ? { width: withBit && view.notation === 'iec bytes' ? (1 as const) : width } : {}),
            ...(withBit ? { bit: bit % limit } : {}),
          };
          const read = parseAddress(formatAddress(m, place), [m]);
          expect(read).toEqual({ ok: true, value: place });
        },
      ),
    );
  });

  test.each(BYTE_ORDERS)('places along the row stay in it, %s', (order) => {
    const m = memory([id], order);
    const start = {
      area: 'area',
      view: id,
      number: 16 + view.first,
      ...(view.notation.startsWith('iec') ? { width: view.unit } : {}),
    };
    const located = locate(m, start)!;
    const size = Math.max(view.unit, 8);
    fc.assert(
      fc.property(fc.nat(200), (units) => {
        const place = placeAlong(located, start, units * view.unit, size);
        expect(locate(m, place)!.linear).toBe(located.linear + units * view.unit);
      }),
    );
  });
});

test('views of every width and both byte orders cover the same memory without gap or overlap', () => {
  fc.assert(
    fc.property(fc.constantFrom(...BYTE_ORDERS), fc.nat(300), fc.integer({ min: 1, max: 40 }), (order, word, words) => {
      const m = memory(['b', 'w', 'k', 'c'], order);
      const whole = run(word * 2 * 16, words * 2 * 16);
      expect(spans(m, `w${word * 2}`, words * 32)).toEqual(whole);
      expect(spans(m, `b${word * 4}`, words * 32)).toEqual(whole);
      expect(spans(m, `k${word}`, words * 32)).toEqual(whole);
      const bytes = Array.from({ length: words * 4 }, (_, i) => spans(m, `b${word * 4 + i}`, 8)!);
      const total = bytes.flat().reduce((sum, s) => sum + s.end - s.start, 0);
      expect(total).toBe(words * 32);
      expect(new Set(bytes.flat().map((s) => s.start)).size).toBe(words * 4);
    }),
  );
});
