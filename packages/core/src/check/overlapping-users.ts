import { memoryOf, type Memory } from '../place/memory.js';
import { userOf, type User } from '../lane/use-words.js';
import type { Reader } from '../model/project.js';
import type { Overlap } from './rule.js';

/**
 * Both of whom put data into the same bits, in order of their ids; null where one of them is gone, or where both are one
 * thing said twice: two modules (the images’ own rule), or a landing and the lane that follows from it.
 */
export function overlappingUsers(
  reader: Reader,
  { a, b }: Overlap,
): { memory: Memory; first: User; second: User } | null {
  if (a.of === 'landing' && b.of === 'landing') return null;
  const memory = memoryOf(reader, a.area);
  const users = [a, b].map((use) => userOf(reader, use)).sort((x, y) => (x && y && x.id < y.id ? -1 : 1));
  const [first, second] = users;
  if (!memory || !first || !second || follows(first, second) || follows(second, first)) return null;
  return { memory, first, second };
}

const follows = (lane: User, landing: User): boolean =>
  landing.use.of === 'landing' && lane.lane?.madeBy?.startsWith(`landing ${landing.id} `) === true;
