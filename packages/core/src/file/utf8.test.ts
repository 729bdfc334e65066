import { isUtf8 } from 'node:buffer';
import fc from 'fast-check';
import { textOfProjectFile } from './utf8.js';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const joined = (...parts: Uint8Array[]): Uint8Array => Uint8Array.from(parts.flatMap((part) => [...part]));

test('UTF-8 is read as it is, with or without a byte order mark [published: RFC 3629, section 6]', () => {
  for (const text of ['{}', '{"name":"Kühlhaus ❄ 😀"}', '']) {
    expect(textOfProjectFile(utf8(text))).toEqual({ ok: true, text });
    expect(textOfProjectFile(joined(Uint8Array.of(0xef, 0xbb, 0xbf), utf8(text)))).toEqual({ ok: true, text });
  }
});

test('text of an older office names the byte and where it stands', () => {
  const bytes = joined(utf8('{\n  "name": "K'), Uint8Array.of(0xfc), utf8('hlhaus"\n}'));
  expect(textOfProjectFile(bytes)).toEqual({
    ok: false,
    problem: {
      where: 'line 2, column 13',
      found: 'byte FC, which is no UTF-8 here',
      expected: 'a project file is UTF-8: save it so and try again',
    },
  });
});

test.each([
  ['UTF-16', [0xff, 0xfe, 0x7b, 0x00, 0x7d, 0x00]],
  ['UTF-16, high byte first', [0xfe, 0xff, 0x00, 0x7b, 0x00, 0x7d]],
  ['UTF-16', [...Buffer.from('{"format":"x"}', 'utf16le')]],
])('%s is named', (found, bytes) => {
  expect(textOfProjectFile(Uint8Array.from(bytes))).toMatchObject({ ok: false, problem: { where: 'file', found } });
});

// Sequences that RFC 3629, section 3 and 10, forbids: an overlong slash, a surrogate, above U+10FFFF, one cut off.
test.each([[[0xc0, 0xaf]], [[0xed, 0xa0, 0x80]], [[0xf4, 0x90, 0x80, 0x80]], [[0xe2, 0x9d]], [[0x80]]])(
  'forbidden bytes %p are refused at their column [published: RFC 3629, sections 3 and 10]',
  (bad) => {
    for (const before of ['', '{"a":"é', '❄']) {
      const read = textOfProjectFile(joined(utf8(before), Uint8Array.from(bad), utf8(' ')));
      expect(read).toMatchObject({ ok: false, problem: { where: `line 1, column ${before.length + 1}` } });
    }
  },
);

test('whatever the bytes: taken exactly where they are UTF-8, and the place is the first bad one [library: Node.js buffer.isUtf8]', () => {
  // Zeros would make it look like UTF-16, which is refused whatever follows.
  const part = fc.oneof(
    fc.string({ unit: 'grapheme' }).map(utf8),
    fc.uint8Array({ min: 1, maxLength: 4 }),
    fc.constant(utf8('\n')),
  );
  fc.assert(
    fc.property(fc.array(part, { maxLength: 6 }), (parts) => {
      const bytes = joined(...parts);
      fc.pre(!bytes.includes(0) && !(bytes[0]! >= 0xfe && bytes[1]! >= 0xfe));
      const read = textOfProjectFile(bytes);
      expect(read.ok).toBe(isUtf8(bytes));
      if (read.ok) return;
      const [line, column] = /line (\d+), column (\d+)/.exec(read.problem.where)!.slice(1).map(Number);
      const before = Buffer.from(bytes.subarray(0, firstBad(bytes)))
        .toString('utf8')
        .replace(/^\uFEFF/, '')
        .split('\n');
      expect([line, column]).toEqual([before.length, before.at(-1)!.length + 1]);
    }),
    { numRuns: 500 },
  );
});

/** Where the first byte stands that no continuation makes right: the longest start that is UTF-8 and cannot be longer. */
function firstBad(bytes: Uint8Array): number {
  let at = 0;
  while (at < bytes.length) {
    const size = [1, 2, 3, 4].find((n) => at + n <= bytes.length && isUtf8(bytes.subarray(at, at + n)));
    if (size === undefined) return at;
    at += size;
  }
  return at;
}
