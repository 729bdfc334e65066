import fc from 'fast-check';
import { chunks, inParts } from './parts.js';

test('parts joined are the text, none above 1 MB of UTF-8, no character torn', () => {
  const piece = fc.constantFrom('a', '❄', '😀', 'ü', '漢');
  fc.assert(
    fc.property(piece, fc.integer({ min: 0, max: 700_000 }), fc.nat(3), (character, count, shift) => {
      const text = 'x'.repeat(shift) + character.repeat(count);
      const parts = inParts(text);
      expect(parts.join('')).toBe(text);
      for (const part of parts) {
        expect(Buffer.byteLength(part)).toBeLessThanOrEqual(1_000_000);
        expect(Buffer.from(part).toString()).toBe(part);
      }
    }),
    { numRuns: 30 },
  );
});

test('an empty text is one empty part', () => {
  expect(inParts('')).toEqual(['']);
});

test('chunks keep every element once, in order', () => {
  fc.assert(
    fc.property(fc.array(fc.nat()), fc.integer({ min: 1, max: 9 }), (list, size) => {
      const all = [...chunks(list, size)];
      expect(all.flat()).toEqual(list);
      for (const chunk of all) expect(chunk.length).toBeLessThanOrEqual(size);
    }),
  );
});
