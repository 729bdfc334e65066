import { bitNumber } from './bit-order.js';
import type { Frame } from './layout.js';
import type { Carried } from '../model/words.js';

/** How a payload is carried, and where along its row it begins. */
export interface Carriage {
  frame: Frame;
  carries: Carried;
  /** position of the payload's first bit; 0 where it begins with a whole unit of what is carried */
  start: number;
  /** number of that bit, where bits are counted: see `bitNumber` */
  first: number;
  /** bits travel one by one, in the order in which this end counts them */
  counted: boolean;
}

/**
 * The index under which a protocol carries a bit of the payload: what arrives elsewhere under the same index is the
 * same bit. `words`: word × 16 + significance. `bytes`: byte along the row × 8 + significance. `bits`: the n-th bit.
 * Words and bytes travel whole: a payload that begins inside one counts from the first that it lies in.
 */
export function carriedIndex({ frame, carries, start, first, counted }: Carriage, position: number): number {
  if (carries === 'values') return position;
  if (carries === 'bits' && (counted || frame.unit === 1)) return bitNumber(frame, position) - first;
  const along = frame.unit === 1 ? alongBytes(frame, position) : position;
  const index = indexOf(frame.unit === 1 ? { ...frame, unit: frame.wordBits } : frame, carries, along);
  if (carries === 'words') return index;
  const unit = carries === 'bytes' || frame.unit === 8 ? 8 : Math.min(frame.unit, frame.wordBits);
  return index - Math.floor(start / unit) * unit;
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
