import fc from 'fast-check';
import { formatContent, parseStartContent } from './start-content.js';

const bytes = (text: string) => {
  const read = parseStartContent(text);
  return read.ok ? formatContent(read.value) : `${read.found}; ${read.expected}`;
};

// [common practice] An address is its four numbers, high first; a counted text has the count of its characters before them.
test('an address is four bytes, a text in quotes its count and its characters, numbers are bytes', () => {
  expect(bytes('10.8.2.40')).toBe('0A 08 02 28');
  expect(bytes('‘BakeCtl’')).toBe('07 42 61 6B 65 43 74 6C');
  expect(bytes('"AB"')).toBe('02 41 42');
  expect(bytes('10 8 2 40')).toBe('0A 08 02 28');
  expect(bytes('16#0A 08 ff')).toBe('0A 08 FF');
});

test('what is none of these is refused with what would be right', () => {
  for (const text of ['10.8.2', '256.1.1.1', '1 300', '16#1FF', 'Bake', ''])
    expect(bytes(text)).toContain('write an address as');
  expect(bytes(`‘${'x'.repeat(256)}’`)).toContain('255 at most');
  expect(bytes('‘Kühl’')).toContain('ASCII');
});

test('any bytes come back from their hexadecimal', () => {
  fc.assert(
    fc.property(fc.uint8Array({ minLength: 1, maxLength: 20 }), (given) => {
      const text = formatContent({ bytes: [...given], of: 'bytes' });
      expect(bytes(`16#${text}`)).toBe(text);
    }),
  );
});
