import type { Bits } from './memory.js';

/** Whether bits of a memory are others than when it was asked last; the first time they are. */
export function changedBits(memory: Bits, places: Int32Array): () => boolean {
  const known = new Uint8Array(places.length).fill(2);
  return () => {
    let changed = false;
    for (let i = 0; i < places.length; i++) {
      const bit = memory[places[i]!]!;
      if (known[i] === bit) continue;
      known[i] = bit;
      changed = true;
    }
    return changed;
  };
}
