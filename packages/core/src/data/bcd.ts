/**
 * A whole number in packed binary-coded decimal: four bits a digit, the lowest digit in the lowest bits.
 * Null where it is negative or has more digits than the bits have room for. [common practice]
 */
export function toBcd(value: bigint, bits: number): bigint | null {
  const digits = value.toString();
  return value < 0n || digits.length * 4 > bits ? null : BigInt(`0x${digits}`);
}

/** The number that is coded; null where a digit is above 9, so that it is no such code. */
export function fromBcd(raw: bigint): bigint | null {
  const digits = raw.toString(16);
  return /^[0-9]+$/.test(digits) ? BigInt(digits) : null;
}
