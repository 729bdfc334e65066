import type { Frame } from './layout.js';
import type { Carried } from '../model/words.js';

/**
 * The index under which a protocol carries a bit of the payload: what arrives elsewhere under the same index is the
 * same bit. `words`: word × 16 + significance. `bytes`: byte along the row × 8 + significance. `bits`: the n-th bit.
 */
export function carriedIndex(frame: Frame, carries: Carried, position: number): number {
  if (carries === 'values' || (frame.unit === 1 && carries === 'bits')) return position;
  return frame.unit === 1
    ? indexOf({ ...frame, unit: frame.wordBits }, carries, alongBytes(frame, position))
    : indexOf(frame, carries, position);
}

/** The n-th single bit, as a bit along the row of bytes in memory. */
function alongBytes({ wordBits: w, fromBottom = true, highFirst }: Frame, position: number): number {
  const start = Math.floor(position / w) * w;
  const significance = fromBottom ? position - start : w - 1 - (position - start);
  const byte = significance >> 3;
  return start + (highFirst ? w / 8 - 1 - byte : byte) * 8 + (significance & 7);
}

function indexOf(frame: Frame, carries: Carried, position: number): number {
  if (carries === 'bytes') return position;
  const { wordBits: w } = frame;
  if (carries === 'bits') {
    const unit = Math.min(frame.unit, w);
    if (!frame.highFirst || unit === 8) return position;
    const start = Math.floor(position / unit) * unit;
    const inUnit = position - start;
    return start + (unit / 8 - 1 - (inUnit >> 3)) * 8 + (inUnit & 7);
  }
  if (w <= 16) {
    const start = position & ~15;
    const byte = (position >> 3) & 1;
    return start + (frame.highFirst ? 1 - byte : byte) * 8 + (position & 7);
  }
  const start = Math.floor(position / 32) * 32;
  const byte = (position - start) >> 3;
  const significance = frame.highFirst ? 3 - byte : byte;
  const half = significance >> 1;
  const word = frame.layout.registerOrder.startsWith('high') ? 1 - half : half;
  return start + word * 16 + (significance & 1) * 8 + (position & 7);
}
