/** Ways in which a whole value comes out otherwise, that have a name. */
const WORDS = {
  bytes: 'the two bytes of each register are exchanged',
  registers: 'the two registers are exchanged',
  'all bytes': 'its bytes are in reverse order',
  'all registers': 'the four registers are in reverse order',
  halves: 'its two halves are exchanged',
  'bits of registers': 'the bits of each register are counted from the other end',
  'bits of bytes': 'the bits of each byte are counted from the other end',
} as const;
export type Arriving = keyof typeof WORDS;

export const arrivingWords = (arriving: Arriving): string => WORDS[arriving];

/** The inverse of `arrivingWords`. */
export const arrivingOf = (words: string): Arriving | null =>
  (Object.keys(WORDS) as Arriving[]).find((one) => WORDS[one] === words) ?? null;

/** Which bit of a value of so many bits the i-th becomes. */
const RULES: readonly [Arriving, (width: number) => boolean, (i: number) => number][] = [
  ['bytes', (width) => width % 16 === 0, (i) => i ^ 8],
  ['registers', (width) => width % 32 === 0, (i) => i ^ 16],
  ['all bytes', (width) => width === 32, (i) => i ^ 24],
  ['all registers', (width) => width === 64, (i) => i ^ 48],
  ['all bytes', (width) => width === 64, (i) => i ^ 56],
  ['halves', (width) => width === 64, (i) => i ^ 32],
  ['bits of registers', () => true, (i) => i ^ 15],
  ['bits of bytes', () => true, (i) => i ^ 7],
];

/** How the bits of a value arrive, where they do not arrive as they are. `landed[i]`: which bit the i-th becomes; −1: none. */
export function arrivingAs(landed: ArrayLike<number>, width: number): string | null {
  const all = (rule: (i: number) => number) => landed.length > 0 && every(landed, (to, i) => to === rule(i));
  if (all(() => -1)) return null;
  const known = RULES.find(([, has, rule]) => has(width) && all((i) => rule(i)));
  if (known) return WORDS[known[0]];
  const by = shiftOf(landed);
  if (by !== null && by !== 0) return `it arrives ${shiftWords(Math.abs(by))} ${by > 0 ? 'further' : 'earlier'}`;
  return 'its bits arrive in other places';
}

const every = (list: ArrayLike<number>, is: (value: number, i: number) => boolean): boolean => {
  for (let i = 0; i < list.length; i++) if (!is(list[i]!, i)) return false;
  return true;
};

/** By how much all bits that arrive are further on; null: not all by the same. */
function shiftOf(landed: ArrayLike<number>): number | null {
  let by: number | null = null;
  for (let i = 0; i < landed.length; i++) {
    if (landed[i] === -1) continue;
    const own = landed[i]! - i;
    if (by !== null && by !== own) return null;
    by = own;
  }
  return by;
}

const shiftWords = (bits: number): string => {
  const [count, unit] = bits % 16 === 0 ? [bits / 16, 'word'] : bits % 8 === 0 ? [bits / 8, 'byte'] : [bits, 'bit'];
  return `${count} ${unit}${count === 1 ? '' : 's'}`;
};
