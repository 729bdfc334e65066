import { elementary } from '../data/types.js';
import { bitsToValue, valueToBits } from '../data/values.js';
import { carriedNumber } from './carry-number.js';
import type { Bits } from './memory.js';
import type { OwnValue } from './values.js';

/** From bits to bits; a bit that nothing is sent for stays. */
export function copying(from: Bits, sent: Int32Array, to: Bits, taken: Int32Array): () => void {
  const both = Array.from(taken.keys()).filter((n) => taken[n]! >= 0 && sent[n]! >= 0);
  const [a, b] = [Int32Array.from(both, (n) => sent[n]!), Int32Array.from(both, (n) => taken[n]!)];
  const { length } = a;
  return () => {
    for (let n = 0; n < length; n++) to[b[n]!] = from[a[n]!]!;
  };
}

/** Element by element through the number that it is; one that does not go into the other type stays as it was. */
export function converting(from: Bits, a: OwnValue, to: Bits, b: OwnValue): () => void {
  const [width, other] = [elementary(a.type.base)!.bits, elementary(b.type.base)!.bits];
  const count = Math.min(a.type.count, b.type.count);
  return () => {
    for (let element = 0; element < count; element++) {
      const bits = Uint8Array.from({ length: width }, (_, i) => from[a.bits[element * width + i]!] ?? 0);
      const number = carriedNumber(a.type.base, b.type.base, bitsToValue(a.type.base, bits));
      if (number === null) continue;
      valueToBits(b.type.base, number).forEach((bit, i) => (to[b.bits[element * other + i]!] = bit));
    }
  };
}
