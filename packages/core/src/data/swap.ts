import type { Swap } from '../model/words.js';

/** What a swap does to the index of a carried bit: exclusive or with this, inside whole units of so many bits. */
const RULES: Record<Swap, { mask: number; unit: number }> = {
  none: { mask: 0, unit: 8 },
  bytes: { mask: 8, unit: 16 },
  words: { mask: 16, unit: 32 },
  'bytes and words': { mask: 24, unit: 32 },
  fours: { mask: 48, unit: 64 },
  'bytes and fours': { mask: 56, unit: 64 },
};

/**
 * Where a carried bit is after a swap of the payload. A swap is blind: it works from the payload's start in whole
 * units, whatever lies there, and a remainder stays. Swapping twice is no swap.
 */
export function swapped(index: number, swap: Swap, payloadBits: number): number {
  const { mask, unit } = RULES[swap];
  if (mask === 0) return index;
  const whole = payloadBits - (payloadBits % unit);
  return index < whole ? index ^ mask : index;
}
