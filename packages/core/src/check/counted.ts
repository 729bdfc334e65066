/** A count with its noun: `counted('tag')(1)` is `1 tag`, `counted('tag')(2)` is `2 tags`. */
export const counted =
  (one: string, many = `${one}s`) =>
  (count: number): string =>
    `${count} ${count === 1 ? one : many}`;
