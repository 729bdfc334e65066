const QUOTE = 0x22;
const BACKSLASH = 0x5c;
const COMMA = 0x2c;
const OPEN = new Set([0x5b, 0x7b]);
const CLOSE = new Set([0x5d, 0x7d]);

/**
 * What a JSON text holds before anything is made of it, in one pass over its bytes: whether there are more values than
 * `most`, or whether it nests deeper than `deepest`. Null where it may be parsed.
 */
export function tooMuchIn(json: Uint8Array, most: number, deepest = Infinity): 'values' | 'depth' | null {
  let values = 1;
  let depth = 0;
  for (let at = 0; at < json.length; at++) {
    const byte = json[at]!;
    if (byte === QUOTE) {
      for (at++; at < json.length && json[at] !== QUOTE; at++) if (json[at] === BACKSLASH) at++;
    } else if (byte === COMMA) values++;
    else if (OPEN.has(byte)) {
      values++;
      if (++depth > deepest) return 'depth';
    } else if (CLOSE.has(byte)) depth--;
    if (values > most) return 'values';
  }
  return null;
}
