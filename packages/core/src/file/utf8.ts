import { encodingOf, fromUtf8, type Encoding } from '../formats/text-of-bytes.js';
import type { Problem } from '../model/problem.js';

export type TextRead = { ok: true; text: string } | { ok: false; problem: Problem };

const NAMED: Partial<Record<Encoding, string>> = {
  'UTF-16': 'UTF-16',
  'UTF-16, high byte first': 'UTF-16, high byte first',
};

/**
 * The text of a project file's bytes. Anything but UTF-8 (RFC 3629) is refused with the line and column of the first
 * byte that cannot be, since it would be read with other characters in the place of what was written.
 */
export function textOfProjectFile(bytes: Uint8Array): TextRead {
  const text = fromUtf8(bytes);
  const encoding = NAMED[encodingOf(bytes)];
  if (text !== null && encoding === undefined) return { ok: true, text };
  const expected = 'a project file is UTF-8: save it so and try again';
  if (encoding) return { ok: false, problem: { where: 'file', found: encoding, expected } };
  const good = goodBytes(bytes);
  const lines = (fromUtf8(bytes.subarray(0, good)) ?? '').split('\n');
  const where = `line ${lines.length}, column ${lines.at(-1)!.length + 1}`;
  const byte = bytes[good]!.toString(16).toUpperCase().padStart(2, '0');
  return { ok: false, problem: { where, found: `byte ${byte}, which is no UTF-8 here`, expected } };
}

/** How many bytes from the start are whole characters of UTF-8. */
function goodBytes(bytes: Uint8Array): number {
  // The longest start that can be read, but for a character cut off at its end, is found by halving.
  let [good, bad] = [0, bytes.length + 1];
  while (bad - good > 1) {
    const middle = (good + bad) >> 1;
    if (readsUpTo(bytes, middle)) good = middle;
    else bad = middle;
  }
  while (good > 0 && fromUtf8(bytes.subarray(0, good)) === null) good--;
  return good;
}

/** Whether a start of the bytes is UTF-8, but for a character that its end cuts off (four bytes at most). */
const readsUpTo = (bytes: Uint8Array, length: number): boolean =>
  [0, 1, 2, 3].some((less) => length >= less && fromUtf8(bytes.subarray(0, length - less)) !== null);
