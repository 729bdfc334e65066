import fc from 'fast-check';
import { UNITS } from '../model/words.js';
import { formatBits, formatLength, lengthBits, parseLength } from './length.js';

test('32 bytes are 16 words, 100 words are 1,600 bits [common practice]', () => {
  expect(lengthBits({ count: 32, unit: 8 })).toBe(lengthBits({ count: 16, unit: 16 }));
  expect(lengthBits({ count: 100, unit: 16 })).toBe(1600);
  expect(lengthBits({ count: 1, unit: 32 })).toBe(lengthBits({ count: 2, unit: 16 }));
});

test('what is shown can be typed again', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 1e6 }),
      fc.constantFrom(...UNITS),
      fc.constantFrom(...UNITS),
      (count, unit, other) => {
        expect(parseLength(formatLength({ count, unit }), other)).toEqual({ ok: true, value: { count, unit } });
      },
    ),
  );
});

test('bits are shown in the largest unit that divides them', () => {
  expect(formatBits(96, 16)).toBe('6 words');
  expect(formatBits(24, 16)).toBe('3 bytes');
  expect(formatBits(3, 16)).toBe('3 bits');
  expect(formatBits(64, 32)).toBe('2 double words');
  expect(formatBits(16, 16)).toBe('1 word');
});

test.each(['', '4,5', '4.5', '-3', '0', 'six', '6 furlongs', '1e3'])(
  '“%s” is refused with what would be right',
  (text) => {
    const read = parseLength(text, 16);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.expected).toMatch(/6 words|1 or more/);
  },
);

test('registers and dwords are taken as words of the trade', () => {
  expect(parseLength('6 registers', 8)).toEqual({ ok: true, value: { count: 6, unit: 16 } });
  expect(parseLength('2 DWORDS', 16)).toEqual({ ok: true, value: { count: 2, unit: 32 } });
});
