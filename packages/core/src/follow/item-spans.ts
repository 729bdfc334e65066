import { areaBit } from '../address/linear.js';
import { joined, spansOf, type Span } from '../address/resolve.js';
import { sizeInRow, valuePositions } from '../data/layout.js';
import type { Side } from '../lane/side.js';
import { readable } from '../model/as-typed.js';

/**
 * The bits of the area that a value of a claim takes: of a BOOL those that it is, and not the unit around them. The whole
 * block where no value is named. Null where that is not known.
 */
export function itemSpans(side: Side, key: string | null): readonly Span[] | null {
  const { block, claim } = side;
  if (!block) return null;
  if (key === null) return block.spans;
  const item = claim.items[key];
  const [type, offset] = [readable(item?.type ?? null), readable(item?.offset ?? null)];
  const size = type && sizeInRow(type, block.chain.frame);
  if (!type || !offset || size === null) return null;
  const origin = block.located.linear + (claim.header ?? 0);
  if (type.base !== 'BOOL' && offset.bit === undefined) return spansOf(block.located.row, origin + offset.bits, size);
  const { row } = block.located;
  const positions = valuePositions({ type, offset: offset.bits, bit: offset.bit }, block.chain.frame);
  return joined(Array.from(positions, (p) => areaBit(row, origin + p)).map((bit) => ({ start: bit, end: bit + 1 })));
}
