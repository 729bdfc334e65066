import { elementary } from './types.js';

/** Bits of one value, least significant first. Two's complement; IEEE 754 for reals. */
export function valueToBits(base: string, value: number | bigint): Uint8Array {
  const type = elementary(base);
  if (!type || type.bits === 0) return new Uint8Array(0);
  return bitsOf(rawOf(type.family === 'real', type.bits, value), type.bits);
}

function rawOf(real: boolean, bits: number, value: number | bigint): bigint {
  if (!real) return BigInt.asUintN(bits, typeof value === 'bigint' ? value : BigInt(Math.trunc(value)));
  const view = new DataView(new ArrayBuffer(8));
  if (bits === 32) {
    view.setFloat32(0, Number(value));
    return BigInt(view.getUint32(0));
  }
  view.setFloat64(0, Number(value));
  return view.getBigUint64(0);
}

function bitsOf(raw: bigint, bits: number): Uint8Array {
  return Uint8Array.from({ length: bits }, (_, i) => Number((raw >> BigInt(i)) & 1n));
}

/** The inverse of `valueToBits`; reals as numbers, all else as bigint. */
export function bitsToValue(base: string, bits: Uint8Array): number | bigint {
  const type = elementary(base);
  let raw = 0n;
  for (let i = bits.length - 1; i >= 0; i--) raw = (raw << 1n) | BigInt(bits[i]!);
  if (!type) return raw;
  if (type.family === 'real') {
    const view = new DataView(new ArrayBuffer(8));
    if (type.bits === 32) {
      view.setUint32(0, Number(raw));
      return view.getFloat32(0);
    }
    view.setBigUint64(0, raw);
    return view.getFloat64(0);
  }
  return type.family === 'signed' || type.family === 'duration' ? BigInt.asIntN(type.bits, raw) : raw;
}

/** A value that shows a wrong order at once. */
export function sampleOf(base: string): number | bigint {
  const type = elementary(base);
  if (type?.family === 'real') return 123.456;
  if (type?.bits === 8) return 0x12;
  if (type?.bits === 16) return 4660;
  return type?.bits === 64 ? 0x0123456789abcdefn : 100000;
}

/** Eight significant digits for REAL, all digits for integers, hexadecimal for bit strings, a real minus sign. */
export function formatValue(base: string, value: number | bigint): string {
  const type = elementary(base);
  if (type?.family === 'bit string') {
    return `16#${BigInt.asUintN(type.bits, BigInt(value))
      .toString(16)
      .toUpperCase()
      .padStart(type.bits / 4, '0')}`;
  }
  const text =
    type?.family === 'real' ? String(Number(Number(value).toPrecision(type.bits === 32 ? 8 : 15))) : String(value);
  return text.replace(/-/g, '−');
}
