import { formatSpan } from '../../place/format-address.js';
import { formatBits } from '../../place/length.js';
import type { Memory } from '../../place/memory.js';
import { readable } from '../../model/as-typed.js';
import type { End } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import { childrenOf } from '../../model/order.js';
import type { Reader } from '../../model/project.js';
import type { Verdict } from '../../lane/compare.js';
import { blockOf, rangeOf, type Block } from '../../lane/side.js';
import { byStart, linksOf, overlapsOf, type MapBox, type MapRuler, type SheetMap } from './ruler.js';

interface Placed {
  lane: string;
  number: number;
  name: string;
  direction: string;
  block: Block;
  start: number;
  end: number;
}

/** All lanes of an exchange between two of its ends: each where it lies in the memory of either. */
export function exchangeMap(
  reader: Reader,
  exchange: Exchange,
  left: End,
  right: End,
  verdictOf: (lane: string) => Verdict | undefined,
): SheetMap {
  const [a, b] = [left, right].map((end) => rulerOf(placedLanes(reader, exchange, end), verdictOf));
  return { left: a!, right: b!, links: linksOf(a!, b!) };
}

function placedLanes(reader: Reader, exchange: Exchange, end: End): Placed[] {
  return childrenOf(reader, 'lane', exchange.id).flatMap((lane, i) => {
    const claim = childrenOf(reader, 'claim', lane.id).find((c) => c.end === end.id);
    const block = claim ? blockOf(reader, claim, end, exchange) : null;
    const [first] = block?.spans ?? [];
    if (!claim || !block || !first) return [];
    const direction = readable(claim.direction) ?? 'direction not known';
    const spans = { start: first.start, end: block.spans.at(-1)!.end };
    return [{ lane: lane.id, number: i + 1, name: claim.name, direction, block, ...spans }];
  });
}

/** Lanes in order of their areas and places, drawn together where less lies between them than they take themselves. */
function rulerOf(lanes: Placed[], verdictOf: (lane: string) => Verdict | undefined): MapRuler {
  const sorted = [...lanes].sort((a, b) => {
    const [x, y] = [a.block.memory.area, b.block.memory.area];
    return x === y ? a.start - b.start || a.end - b.end : x.order - y.order || (x.id < y.id ? -1 : 1);
  });
  const most = lanes.reduce((sum, lane) => sum + lane.end - lane.start, 0);
  const boxes: MapBox[] = [];
  const breaks: number[] = [];
  const ranges: string[] = [];
  let run: { memory: Memory; start: number; end: number; at: number } | null = null;
  const close = () => run && ranges.push(formatSpan(run.memory, run));
  for (const lane of sorted) {
    const { memory } = lane.block;
    if (!run || run.memory !== memory || lane.start - run.end > most) {
      close();
      const at: number = run ? run.at + run.end - run.start : 0;
      if (run) breaks.push(at);
      run = { memory, start: lane.start, end: lane.end, at };
    }
    run.end = Math.max(run.end, lane.end);
    boxes.push(boxOf(lane, run.at - run.start, verdictOf(lane.lane)));
  }
  close();
  const length: number = run ? run.at + run.end - run.start : 0;
  return { range: ranges.join(', '), length, breaks, boxes: boxes.sort(byStart), overlaps: overlapsOf(boxes) };
}

function boxOf(
  { lane, number, name, direction, block, start, end }: Placed,
  by: number,
  verdict: Verdict = 'unchecked',
) {
  const label = name || `lane ${number}`;
  const size = formatBits(block.lengthBits, block.located.view.unit === 1 ? 16 : block.located.view.unit);
  const address = rangeOf(block);
  const detail = `lane ${number}, ${label}, ${direction} ${size}, ${address}, ${verdict}`;
  return { key: lane, from: start + by, to: end + by, label, address, detail, differs: verdict === 'differs' };
}
