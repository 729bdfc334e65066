import type { FullLayout } from '../model/layout-defaults.js';
import type { WordBits } from '../model/words.js';
import { valuePositions, type Frame } from './layout.js';
import { sampleOf, valueToBits } from './values.js';

/** The bytes of a telling value as they lie in memory under a layout rule, in hexadecimal. REAL 123.456: 42 F6 E9 79. */
export function sampleBytes(base: string, layout: FullLayout, wordBits: WordBits): string[] {
  const frame: Frame = { unit: wordBits, wordBits, highFirst: layout.byteOrder === 'high first', layout };
  const bits = valueToBits(base, sampleOf(base));
  const bytes = new Array<number>(bits.length / 8).fill(0);
  valuePositions({ type: { base, count: 1 }, offset: 0 }, frame).forEach((position, i) => {
    bytes[position >> 3]! |= bits[i]! << (position & 7);
  });
  return bytes.map((byte) => byte.toString(16).toUpperCase().padStart(2, '0'));
}
