/** How the bits of a value arrive, where they do not arrive as they are. `landed[i]`: which bit the i-th becomes; −1: none. */
export function arrivingAs(landed: ArrayLike<number>, width: number): string | null {
  const all = (rule: (i: number) => number) => landed.length > 0 && every(landed, (to, i) => to === rule(i));
  if (all(() => -1)) return null;
  if (width % 16 === 0 && all((i) => i ^ 8)) return 'the two bytes of each register are exchanged';
  if (width % 32 === 0 && all((i) => i ^ 16)) return 'the two registers are exchanged';
  if (width % 32 === 0 && all((i) => i ^ 24)) return 'its four bytes are in reverse order';
  if (width === 64 && all((i) => i ^ 48)) return 'the four registers are in reverse order';
  if (width === 64 && all((i) => i ^ 56)) return 'its eight bytes are in reverse order';
  if (width === 64 && all((i) => i ^ 32)) return 'its two halves are exchanged';
  if (all((i) => i - (i % 16) + 15 - (i % 16))) return 'the bits of each register are counted from the other end';
  if (all((i) => i - (i % 8) + 7 - (i % 8))) return 'the bits of each byte are counted from the other end';
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
