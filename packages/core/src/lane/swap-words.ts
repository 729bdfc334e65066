import { read, unread, type Read } from '../text/read.js';
import { SWAPS, type Swap } from '../model/words.js';

export const SWAP_WORDS: Record<Swap, string> = {
  none: 'no swap',
  bytes: 'bytes swapped',
  words: 'registers swapped',
  'bytes and words': 'bytes and registers swapped',
  fours: 'four registers reversed',
  'bytes and fours': 'bytes and four registers reversed',
};

/** The words above, or what stands before `swapped` in them; empty takes the end's own swap (null). */
export function parseSwap(text: string): Read<Swap | null> {
  const clean = text.trim().toLowerCase();
  if (clean === '') return read(null);
  const found = SWAPS.find((swap) => [swap, SWAP_WORDS[swap], SWAP_WORDS[swap].split(' swapped')[0]].includes(clean));
  return found ? read(found) : unread(`“${text}” is not a valid swap`, `write ${Object.values(SWAP_WORDS).join(', ')}`);
}
