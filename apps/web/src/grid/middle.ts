const END = 5;
const SHORTEST = 14;

/**
 * A name in two parts, of which the first may be cut off: what tells names of a series apart is mostly at their end. Null for
 * one that is short.
 */
export function inTwo(name: string): [start: string, end: string] | null {
  const characters = [...name];
  if (characters.length < SHORTEST) return null;
  return [characters.slice(0, -END).join(''), characters.slice(-END).join('')];
}
