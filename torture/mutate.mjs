/** Texts as nobody types them: of other scripts, half characters, names that every object has, what patterns fear. */
const TEXTS = [
  ...['', ' ', '\u0000', '\ud83e', '\udc00x', 'a\ufe0f'.repeat(400), '‮reversed', '𝔘𝔫𝔦', 'مرحبا', '🧊'.repeat(300)],
  ...['constructor', '__proto__', 'hasOwnProperty', 'toString', 'isPrototypeOf', 'valueOf', 'null', 'NaN'],
  ...['a'.repeat(70), 'a'.repeat(5000), '{station}'.repeat(7), '{'.repeat(200), '[', '(a+)+$', '.*'.repeat(50)],
  ...["'; DROP TABLE journal; --", '<script>alert(1)</script>', '${7*7}', '../../etc/passwd', '%00', '\\', '"'],
  ...[
    ' '.repeat(4000),
    '1'.repeat(4000),
    '1,111'.repeat(700),
    '0x1',
    '1e400',
    '-0',
    '١٢٣',
    'ARRAY [0..1] OF '.repeat(200),
  ],
];
const NUMBERS = [0, -0, -1, 1, 0.5, 1e300, -1e300, 2 ** 31, 2 ** 32, 2 ** 53, 65536, 1e-300, 255, 256, 1000, 1001];
const ODD = [null, true, false, [], {}, [[]], { typed: 'x' }, { typed: 5 }, { typed: 'x', more: 1 }, { id: null }];

/** Makes values wrong by a source of numbers of 0 to 1. */
export function mutator(random) {
  const pick = (list) => list[Math.floor(random() * list.length)];
  const anything = () => {
    const kind = random();
    if (kind < 0.4) return pick(TEXTS);
    if (kind < 0.7) return pick(NUMBERS);
    if (kind < 0.95) return pick(ODD);
    return deep(Math.floor(random() * 60));
  };
  const deep = (levels) => (levels <= 0 ? 'deep' : random() < 0.5 ? [deep(levels - 1)] : { a: deep(levels - 1) });

  /** A copy of a JSON value with one thing in it wrong: a key, a type, a value, a place, a size. */
  function mutated(value, chance = 0.3) {
    if (typeof value !== 'object' || value === null || random() < chance / 3) return anything();
    if (Array.isArray(value)) {
      const list = [...value];
      const at = Math.floor(random() * list.length);
      const how = random();
      if (list.length === 0 || how < 0.15) return [...list, anything()];
      if (how < 0.25) list.splice(at, 1);
      else if (how < 0.35) list.push(list[at]);
      else if (how < 0.4) return Array.from({ length: 300 }, () => list[at]);
      else list[at] = mutated(list[at], chance);
      return list;
    }
    const copy = { ...value };
    const keys = Object.keys(copy);
    const key = pick(keys);
    const how = random();
    if (keys.length === 0 || how < 0.15) return withKey(copy, pick(TEXTS), anything());
    if (how < 0.25) delete copy[key];
    else if (how < 0.35) {
      const moved = copy[key];
      delete copy[key];
      return withKey(copy, `${key}${pick(['', ' ', 'x', '\u200b'])}`, moved);
    } else copy[key] = mutated(copy[key], chance);
    return copy;
  }

  /** As a parser would set it: `__proto__` becomes a key like any other. */
  const withKey = (object, key, value) =>
    Object.defineProperty(object, key, { value, enumerable: true, configurable: true, writable: true });

  /** A JSON text with bytes that are wrong. */
  function garbled(text) {
    const bytes = Buffer.from(text);
    for (let n = 1 + Math.floor(random() * 4); n > 0; n--)
      bytes[Math.floor(random() * bytes.length)] = Math.floor(random() * 256);
    return random() < 0.2 ? bytes.subarray(0, Math.floor(random() * bytes.length)) : bytes;
  }

  return { pick, anything, mutated, garbled, text: () => pick(TEXTS) };
}
