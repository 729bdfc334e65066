const SHOWN = 3;

/** `Door`, `Door and Pump`, `Door, Pump, Valve and 4 more`. */
export function fewOf(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  if (names.length <= SHOWN) return `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
  return `${names.slice(0, SHOWN).join(', ')} and ${names.length - SHOWN} more`;
}

/** A count with its noun: `counted('tag')(1)` is `1 tag`, `counted('tag')(2)` is `2 tags`. */
export const counted =
  (one: string, many = `${one}s`) =>
  (count: number): string =>
    `${count} ${count === 1 ? one : many}`;
