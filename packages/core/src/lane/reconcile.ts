import { arrives } from '../data/chain.js';
import { SWAPS, type Swap } from '../model/words.js';
import { valuePairs } from './compare-items.js';
import type { Side } from './side.js';

/**
 * Where no swap suits all values: those that the best single swap would spoil, by name. Empty where one suits.
 */
export function inTheWay(source: Side, sink: Side): string[] {
  if (!source.block || !sink.block) return [];
  const a = source.block.chain;
  const b = sink.block.chain;
  const pairs = valuePairs(source, sink);
  const spoilt = SWAPS.filter((swap) => swap !== b.swap).map((swap) =>
    pairs.flatMap(([value, other]) => (arrives(a, b, value, other, { sink: swap }) ? [] : [value.name || 'a value'])),
  );
  return spoilt.reduce((best, names) => (names.length < best.length ? names : best));
}

/** A swap at one end with which every value of the lane arrives. */
export interface Reconciliation {
  side: 'source' | 'sink';
  swap: Swap;
}

/** Every single swap that makes all values right, the sink's first. Empty where none does. */
export function reconcilingSwaps(source: Side, sink: Side): Reconciliation[] {
  if (!source.block || !sink.block) return [];
  // What travels bit by bit out of a table is not swapped.
  if (source.block.chain.carries !== source.block.usual) return [];
  const a = source.block.chain;
  const b = sink.block.chain;
  const pairs = valuePairs(source, sink);
  const allArrive = (swaps: { source?: Swap; sink?: Swap }) => pairs.every(([v, w]) => arrives(a, b, v, w, swaps));
  const found: Reconciliation[] = [];
  for (const swap of SWAPS) if (swap !== b.swap && allArrive({ sink: swap })) found.push({ side: 'sink', swap });
  for (const swap of SWAPS) if (swap !== a.swap && allArrive({ source: swap })) found.push({ side: 'source', swap });
  return found;
}
