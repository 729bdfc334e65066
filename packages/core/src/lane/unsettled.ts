import { lengthBits } from '../place/length.js';
import { readable } from '../model/as-typed.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';

/**
 * Whether the ends of a lane leave open, or say differently, where its data is, how long it is or which way it goes. What
 * it puts into a memory, or takes out, is not known as long as that is so.
 */
export function unsettled(reader: Reader, lane: string): boolean {
  const claims = childrenOf(reader, 'claim', lane);
  const lengths = new Set<number>();
  let [puts, takes] = [false, false];
  for (const { place, length, header = 0, direction } of claims) {
    const [known, does] = [readable(length), readable(direction)];
    if (!known || !does || !readable(place)) return true;
    lengths.add(lengthBits(known) - header);
    puts ||= does !== 'reads';
    takes ||= does !== 'writes';
  }
  return claims.length > 1 && (lengths.size > 1 || !puts || !takes);
}
