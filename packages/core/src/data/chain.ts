import { bitNumber, bitPosition } from './bit-order.js';
import { carriedIndex, type Carriage } from './carry.js';
import { valuePositions, type LaidValue } from './layout.js';
import { swapped } from './swap.js';
import { elementary } from './types.js';
import type { Swap } from '../model/words.js';

/** One side of a transfer: how its payload lies, and what it does to it on leaving or arriving. */
export interface ChainSide extends Carriage {
  swap: Swap;
  payloadBits: number;
}

export type Blame = 'byte order' | 'register order' | 'packing' | 'numbering' | 'swap' | 'offset';

/** The index under which a bit of the payload travels, after this side's swap. */
export const carriedAt = (side: ChainSide, position: number, swap = side.swap): number =>
  swapped(carriedIndex(side, position), swap, carriedBits(side));

/** Bits that travel: words and bytes travel whole, also where the payload is a part of one. */
export function carriedBits({ frame, carries, start, payloadBits }: ChainSide): number {
  const unit = carries === 'words' ? 16 : carries === 'bytes' ? 8 : 1;
  if (unit === 1 || payloadBits % unit === 0) return payloadBits;
  const before = frame.wordBits === 8 && unit === 16 ? 0 : start % unit;
  return Math.ceil((before + payloadBits) / unit) * unit;
}

/** Whether a position along the row belongs to the payload. */
export function inPayload({ frame, start, first, counted, payloadBits }: ChainSide, position: number): boolean {
  const n = counted ? bitNumber(frame, position) - first : position - start;
  return n >= 0 && n < payloadBits;
}

/** Carried indexes of the bits of a value, least significant first, after this side's swap. */
export function carriedPositions(side: ChainSide, value: LaidValue, swap = side.swap): Int32Array {
  const positions = valuePositions(value, side.frame);
  for (let i = 0; i < positions.length; i++) positions[i] = carriedAt(side, positions[i]!, swap);
  return positions;
}

/** Positions along the row of all bits of the payload, in the order in which they lie or are counted. */
export function payloadPositions({ frame, start, first, counted, payloadBits }: ChainSide): number[] {
  return Array.from({ length: payloadBits }, (_, n) => (counted ? bitPosition(frame, first + n) : start + n));
}

const same = (a: Int32Array, b: Int32Array): boolean => a.length === b.length && a.every((value, i) => value === b[i]);

/** Whether every bit of the value arrives in its place: the chain from source to sink is the identity. */
export function arrives(
  source: ChainSide,
  sink: ChainSide,
  sourceValue: LaidValue,
  sinkValue: LaidValue,
  swaps: { source?: Swap; sink?: Swap } = {},
): boolean {
  if (source.carries === 'values') return true;
  return same(
    carriedPositions(source, sourceValue, swaps.source ?? source.swap),
    carriedPositions(sink, sinkValue, swaps.sink ?? sink.swap),
  );
}

/** What is to blame where a value does not arrive, for the widest of its causes. */
export function blame(source: ChainSide, sink: ChainSide, sourceValue: LaidValue, sinkValue: LaidValue): Blame {
  const none = { source: 'none', sink: 'none' } as const;
  const unswapped = arrives(source, sink, sourceValue, sinkValue, none);
  if (unswapped) return 'swap';
  if (elementary(sourceValue.type.base)?.family === 'bool') {
    const [a, b] = [source.frame.layout, sink.frame.layout];
    if (a.boolPacking !== b.boolPacking) return 'packing';
    if (a.boolNumbering !== b.boolNumbering) return 'numbering';
  }
  const moved = relative(source, sourceValue);
  const landed = relative(sink, sinkValue);
  if (moved.start !== landed.start && same(moved.shape, landed.shape)) {
    return source.swap !== 'none' || sink.swap !== 'none' ? 'swap' : 'offset';
  }
  if (source.swap !== 'none' && sink.swap !== 'none') return 'swap';
  // Of two settings the one that differs is to blame; of both, the one that shows first.
  const bytes = source.frame.highFirst !== sink.frame.highFirst;
  const registers = source.frame.layout.registerOrder !== sink.frame.layout.registerOrder;
  if (bytes !== registers) return bytes ? 'byte order' : 'register order';
  const first = Math.abs(moved.shape[0]! - landed.shape[0]!);
  return (first & 8) !== 0 ? 'byte order' : 'register order';
}

/** Unswapped carried positions, counted from the lowest of them. */
function relative(side: ChainSide, value: LaidValue) {
  const positions = carriedPositions(side, value, 'none');
  const start = positions.reduce((a, b) => Math.min(a, b), Infinity);
  return { start, shape: positions.map((p) => p - start) };
}

/**
 * What the sink makes of a value that the source stored: bits of the value, least significant first, read back through
 * the chain. Bits that nothing fills read 0.
 */
export function received(
  source: ChainSide,
  sink: ChainSide,
  sourceValue: LaidValue,
  sinkValue: LaidValue,
  bits: Uint8Array,
): Uint8Array {
  const carried = new Map<number, number>();
  carriedPositions(source, sourceValue).forEach((at, i) => carried.set(at, bits[i] ?? 0));
  return Uint8Array.from(carriedPositions(sink, sinkValue), (at) => carried.get(at) ?? 0);
}
