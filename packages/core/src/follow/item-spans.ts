import { areaBit } from '../data/linear.js';
import { joined, spansOf, type Span } from '../place/resolve.js';
import { valuePositions } from '../data/layout.js';
import { valuesOf } from '../lane/compare-items.js';
import type { Side } from '../lane/side.js';

/**
 * The bits of the area that a value of a claim takes: of a BOOL those that it is, and not the unit around them. The whole
 * block where no value is named. Null where that is not known.
 */
export function itemSpans(side: Side, key: string | null): readonly Span[] | null {
  const { block } = side;
  if (!block) return null;
  if (key === null) return block.spans;
  const value = valuesOf(side)?.get(key);
  if (!value) return null;
  const { located, origin, chain } = block;
  if (value.type.base !== 'BOOL' && value.bit === undefined) {
    return spansOf(located.row, origin + value.offset, value.size);
  }
  const bits = Array.from(valuePositions(value, chain.frame), (p) => areaBit(located.row, origin + p));
  return joined(bits.map((bit) => ({ start: bit, end: bit + 1 })));
}
