import { areaBit, linearBit } from '../data/linear.js';
import { carriedAt, inPayload, payloadPositions } from '../data/chain.js';
import type { Side } from '../lane/side.js';

/** What a lane makes of the bits of its source's area, each with something told of it: where it lies in the sink's. */
export function carriedOn<T>(source: Side, sink: Side, memory: ReadonlyMap<number, T>): Map<number, T> {
  const { located, origin, chain } = source.block!;
  const carried = new Map<number, T>();
  for (const [bit, told] of memory) {
    const position = linearBit(located.row, bit) - origin;
    if (inPayload(chain, position)) carried.set(carriedAt(chain, position), told);
  }
  const next = new Map<number, T>();
  const to = sink.block!;
  for (const position of payloadPositions(to.chain)) {
    const told = carried.get(carriedAt(to.chain, position));
    if (told !== undefined) next.set(areaBit(to.located.row, to.origin + position), told);
  }
  return next;
}
