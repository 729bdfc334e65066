const PART_CHARACTERS = 250_000;

/** Text in parts of at most 1 MB of UTF-8. */
export function inParts(text: string): string[] {
  const parts: string[] = [];
  for (let at = 0; at < text.length || parts.length === 0;) {
    let end = Math.min(at + PART_CHARACTERS, text.length);
    const last = text.charCodeAt(end - 1);
    if (end < text.length && last >= 0xd800 && last < 0xdc00) end -= 1;
    parts.push(text.slice(at, end));
    at = end;
    if (text.length === 0) break;
  }
  return parts;
}

/** Lists in chunks for statements with many rows. */
export function* chunks<T>(list: readonly T[], size: number): Generator<T[]> {
  for (let at = 0; at < list.length; at += size) yield list.slice(at, at + size);
}
