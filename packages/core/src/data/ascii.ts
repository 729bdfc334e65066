/** The bytes of a text; null where a character is outside ASCII. [published: RFC 20, ASCII] [from memory] */
export function toAscii(text: string): Uint8Array | null {
  const bytes = Uint8Array.from(text, (character) => character.codePointAt(0)!);
  return [...text].every((character) => character.codePointAt(0)! < 128) ? bytes : null;
}

/** The characters up to the first zero; null where a byte is outside ASCII. */
export function fromAscii(bytes: Uint8Array): string | null {
  const end = bytes.indexOf(0);
  const used = end < 0 ? bytes : bytes.subarray(0, end);
  return used.every((byte) => byte < 128) ? String.fromCharCode(...used) : null;
}
