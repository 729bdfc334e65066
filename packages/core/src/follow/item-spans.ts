import { spansOf, type Span } from '../address/resolve.js';
import { sizeInRow } from '../data/layout.js';
import type { Side } from '../lane/side.js';
import { readable } from '../model/as-typed.js';

/** The bits of the area that a value of a claim takes; the whole block where none is named. Null where that is not known. */
export function itemSpans(side: Side, key: string | null): readonly Span[] | null {
  const { block, claim } = side;
  if (!block) return null;
  if (key === null) return block.spans;
  const item = claim.items[key];
  const [type, offset] = [readable(item?.type ?? null), readable(item?.offset ?? null)];
  const size = type && sizeInRow(type, block.chain.frame);
  if (!offset || size === null) return null;
  return spansOf(block.located.row, block.located.linear + (claim.header ?? 0) + offset.bits, size);
}
