/** Ways in which the bytes of a value can stand; each is its own inverse. */
export const ORDERS = {
  'as it stands': (bytes: Uint8Array) => bytes.slice(),
  'registers exchanged': (bytes: Uint8Array) => inGroups(bytes, 4, (i) => i ^ 2),
  'bytes exchanged': (bytes: Uint8Array) => inGroups(bytes, 2, (i) => i ^ 1),
  'all bytes reversed': (bytes: Uint8Array) => bytes.slice().reverse(),
  'registers reversed': (bytes: Uint8Array) => inGroups(bytes, 8, (i) => i ^ 6),
} as const;
export type Order = keyof typeof ORDERS;

function inGroups(bytes: Uint8Array, size: number, from: (i: number) => number): Uint8Array {
  return Uint8Array.from(bytes, (_, i) => bytes[i - (i % size) + from(i % size)] ?? 0);
}

/** The orders that make a difference for values of so many bytes. */
export function ordersFor(bytes: number): Order[] {
  if (bytes < 2) return ['as it stands'];
  if (bytes === 2) return ['as it stands', 'bytes exchanged'];
  const all: Order[] = ['as it stands', 'registers exchanged', 'bytes exchanged', 'all bytes reversed'];
  return bytes === 8 ? [...all, 'registers reversed'] : all;
}
