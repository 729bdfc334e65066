import { bitsToValue, valueToBits } from '../data/values.js';

/** The bytes of a number, the high one first. */
export function encoded(type: string, value: number | bigint): Uint8Array {
  const bits = valueToBits(type, value);
  return Uint8Array.from({ length: bits.length / 8 }, (_, byte) => {
    const from = bits.length - 8 * (byte + 1);
    return bits.slice(from, from + 8).reduce((all, bit, i) => all | (bit << i), 0);
  });
}

/** The inverse. */
export function decoded(type: string, bytes: Uint8Array): number | bigint {
  const bits = new Uint8Array(bytes.length * 8);
  bytes.forEach((byte, i) => {
    const from = bits.length - 8 * (i + 1);
    for (let bit = 0; bit < 8; bit++) bits[from + bit] = (byte >> bit) & 1;
  });
  return bitsToValue(type, bits);
}

/** Whether a number, shown with so many digits, is what was seen. */
export function isSeen(
  value: number | bigint,
  seen: { value: number | bigint; digits: number; real: boolean },
): boolean {
  if (typeof value === 'bigint' && typeof seen.value === 'bigint') return value === seen.value;
  const [a, b] = [Number(value), Number(seen.value)];
  if (!Number.isFinite(a)) return false;
  // A whole number that was read off may have lost what stands behind its point.
  if (!seen.real && Math.abs(a - b) < 0.5 && Math.abs(b) >= 1) return true;
  // Half of what the last digit counts.
  const last = 10 ** (Math.floor(Math.log10(Math.abs(b))) + 1 - Math.min(seen.digits, 7));
  return Math.abs(a - b) <= 0.51 * last;
}
