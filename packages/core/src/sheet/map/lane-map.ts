import { formatBits } from '../../place/length.js';
import { formatType } from '../../data/types.js';
import type { Exchange } from '../../model/exchange.js';
import type { Lane } from '../../model/lane.js';
import type { Reader } from '../../model/project.js';
import { valuesOf } from '../../lane/compare-items.js';
import { itemAddress } from '../sheet.js';
import { rangeOf, type Side } from '../../lane/side.js';
import { sidesOf } from '../../lane/sides-of.js';
import { byStart, linksOf, overlapsOf, type MapRuler, type SheetMap } from './ruler.js';

/**
 * The values of one lane, each where it lies in its end's block; null where an end says nothing of it, or not enough.
 * `differing`: keys of values that do not arrive.
 */
export function laneMap(
  reader: Reader,
  exchange: Exchange,
  lane: Lane,
  ends: readonly [left: string, right: string],
  differing: Readonly<Record<string, string>>,
): SheetMap | null {
  const sides = sidesOf(reader, lane, exchange);
  const [left, right] = ends.map((end) => {
    const side = sides.find((s) => s.end.id === end);
    return side ? rulerOf(reader, side, differing) : null;
  });
  return left && right ? { left, right, links: linksOf(left, right) } : null;
}

function rulerOf(reader: Reader, side: Side, differing: Readonly<Record<string, string>>): MapRuler | null {
  const { block, claim } = side;
  const values = valuesOf(side);
  if (!block || !values) return null;
  const header = block.lengthBits - block.payloadBits;
  const unit = block.located.view.unit === 1 ? 16 : block.located.view.unit;
  const boxes = [...values.values()].map((value) => {
    const item = claim.items[value.key];
    const address = item ? itemAddress(reader, claim, item) : rangeOf(block);
    const label = value.name || address;
    const words = differing[value.key];
    const detail = [label, formatType(value.type), formatBits(value.size, unit), address, words]
      .filter(Boolean)
      .join(', ');
    const from = header + value.offset;
    return { key: value.key, from, to: from + value.size, label, address, detail, differs: words !== undefined };
  });
  boxes.sort(byStart);
  // What reaches beyond the end of the block is drawn where it would lie.
  const end = block.lengthBits;
  const length = Math.max(end, ...boxes.map((b) => b.to));
  const beyond = boxes.flatMap((b) =>
    b.to > end ? [{ from: Math.max(b.from, end), to: b.to, detail: `${b.label} ends beyond its lane` }] : [],
  );
  return { range: rangeOf(block), length, breaks: [], boxes, overlaps: [...overlapsOf(boxes), ...beyond] };
}
