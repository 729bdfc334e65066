import fc from 'fast-check';
import { fromAscii, toAscii } from './ascii.js';
import { fromBcd, toBcd } from './bcd.js';

test('1234 in BCD is 16#1234; a code with a digit above 9 is none [common practice]', () => {
  expect(toBcd(1234n, 16)).toBe(0x1234n);
  expect(toBcd(12345n, 16)).toBeNull();
  expect(toBcd(-1n, 16)).toBeNull();
  expect(fromBcd(0x12a4n)).toBeNull();
});

test('BCD and back', () => {
  fc.assert(fc.property(fc.bigInt({ min: 0n, max: 99_999_999n }), (n) => expect(fromBcd(toBcd(n, 32)!)).toBe(n)));
});

test('AB is 65, 66 [published: RFC 20, ASCII] [from memory]', () => {
  expect([...toAscii('AB')!]).toEqual([65, 66]);
  expect(toAscii('ä')).toBeNull();
  expect(fromAscii(Uint8Array.from([65, 66, 0, 67]))).toBe('AB');
  expect(fromAscii(Uint8Array.from([200]))).toBeNull();
});

test('ASCII is what Node’s own encoder writes [library: Node.js Buffer]', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'grapheme-ascii', maxLength: 40 }), (text) => {
      expect([...toAscii(text)!]).toEqual([...Buffer.from(text, 'ascii')]);
      if (!text.includes('\0')) expect(fromAscii(toAscii(text)!)).toBe(text);
    }),
  );
});
