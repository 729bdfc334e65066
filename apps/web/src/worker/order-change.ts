/** How one order of keys becomes the next: from a place on, so many go, and these come. */
export interface OrderChange {
  from: number;
  out: number;
  keys: readonly string[];
}

/** The change in the middle: what both orders begin and end with is left out. */
export function orderChange(before: readonly string[], after: readonly string[]): OrderChange {
  const shorter = Math.min(before.length, after.length);
  let from = 0;
  while (from < shorter && before[from] === after[from]) from++;
  let same = 0;
  while (same < shorter - from && before.at(-1 - same) === after.at(-1 - same)) same++;
  return { from, out: before.length - from - same, keys: after.slice(from, after.length - same) };
}

/** The next order; the same list where nothing changes. */
export function orderedBy(before: readonly string[], { from, out, keys }: OrderChange): readonly string[] {
  if (out === 0 && keys.length === 0) return before;
  return [...before.slice(0, from), ...keys, ...before.slice(from + out)];
}
