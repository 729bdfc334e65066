import { formatAddress, placeAlong } from '../../place/format-address.js';
import { carriedAt, carriedPositions, payloadPositions } from '../../data/chain.js';
import { valuePositions } from '../../data/layout.js';
import type { Exchange } from '../../model/exchange.js';
import type { Lane } from '../../model/lane.js';
import type { Reader } from '../../model/project.js';
import { valuesOf } from '../../lane/compare-items.js';
import type { Value } from '../../lane/difference.js';
import type { Block, Side } from '../../lane/side.js';
import { sidesOf } from '../../lane/sides-of.js';
import { partName } from './part-name.js';
import { byStart, type MapBox, type MapLink, type MapRuler, type SheetMap } from './ruler.js';

/** More parts of a value than that are not told apart by eye. */
const MOST_PARTS = 64;

/** Bits of a value that stay together: a byte of it, or one BOOL. Numbers count from its least significant bit. */
interface Part {
  low: number;
  high: number;
}

/**
 * One value, byte by byte (BOOLs bit by bit): where each part lies at the source, where the path takes it at the sink, and
 * what the sink takes it for. Left and right as on the sheet, whichever is the source. Null where that is not known, or
 * where values travel by their types.
 */
export function valueMap(
  reader: Reader,
  exchange: Exchange,
  lane: Lane,
  ends: readonly [left: string, right: string],
  key: string,
): SheetMap | null {
  const sides = sidesOf(reader, lane, exchange);
  const [left, right] = ends.map((end) => sides.find((s) => s.end.id === end));
  if (!left?.block || !right?.block) return null;
  const turned = right.claim.direction === 'writes' && left.claim.direction !== 'writes';
  const [source, sink] = turned ? [right, left] : [left, right];
  const [a, b] = [valuesOf(source)?.get(key), valuesOf(sink)?.get(key)];
  if (!a || !b || source.block!.chain.carries === 'values') return null;
  const map = pathOf(source, a, sink, b);
  if (!turned) return map;
  const links = map.links.map((link) => ({ ...link, left: link.right, right: link.left }));
  return { ...map, left: map.right, right: map.left, links };
}

function pathOf(source: Side, a: Value, sink: Side, b: Value): SheetMap {
  const [from, to] = [source.block!, sink.block!];
  const sent = valuePositions(a, from.chain.frame);
  const read = valuePositions(b, to.chain.frame);
  const landing = landingAt(to);
  const arrived = carriedPositions(from.chain, a).map((index) => landing.get(index) ?? -1);
  const step = a.type.base === 'BOOL' ? 1 : 8;
  const all = partsOf(step, Math.min(sent.length, read.length));
  const parts = all.slice(0, MOST_PARTS);
  const start = [...arrived.filter((at) => at >= 0), ...read].reduce((x, y) => Math.min(x, y), Infinity);
  const sourceStart = sent.reduce((x, y) => Math.min(x, y), Infinity);
  const base = { source: wordStart(from, sourceStart), sink: wordStart(to, start) };

  const links: MapLink[] = [];
  const wrong = new Set<number>();
  for (const { low, high } of parts) {
    const here = spanOf(sent, low, high, base.source);
    const there = spanOf(arrived, low, high, base.sink);
    const right = arrived.slice(low, high + 1).every((at, i) => at === read[low + i]);
    if (!right) wrong.add(low);
    if (there[0] >= 0) links.push({ key: String(low), left: here, right: there, differs: !right });
  }
  const boxes = (block: Block, at: Int32Array, begin: number, verb: string): MapBox[] =>
    parts
      .map((part) => {
        const [first, last] = spanOf(at, part.low, part.high, begin);
        const address = partAddress(block, block.origin - block.located.linear + first + begin, part);
        const differs = wrong.has(part.low);
        const label = partName(a.type, source.block!.chain.frame.layout, part.low, part.high);
        const detail = `${label} ${verb} at ${address}${differs ? ', not the bits that arrive there' : ''}`;
        return { key: String(part.low), from: first, to: last, label, address, detail, differs };
      })
      .sort(byStart);
  return {
    left: rulerOf(
      from,
      boxes(from, sent, base.source, 'sent'),
      links.map((l) => l.left[1]),
    ),
    right: rulerOf(
      to,
      boxes(to, read, base.sink, 'read'),
      links.map((l) => l.right[1]),
    ),
    links,
    ...(all.length > parts.length && {
      rest: `the first ${parts.length} of ${all.length} ${step === 1 ? 'BOOLs' : 'bytes'}`,
    }),
  };
}

/** The word (or byte) that a part lies in; of a BOOL its very bit. */
function partAddress({ located, memory, place }: Block, at: number, { low, high }: Part): string {
  if (low === high) return formatAddress(memory, placeAlong(located, place, at, 1));
  const step = Math.max(8, located.view.unit);
  const along = located.linear + at;
  return formatAddress(memory, placeAlong(located, place, at - (along % step), step));
}

/** Where, along the row of this end's payload, each carried bit comes to lie. */
function landingAt({ chain }: Block): Map<number, number> {
  const landing = new Map<number, number>();
  for (const at of payloadPositions(chain)) landing.set(carriedAt(chain, at), at);
  return landing;
}

function partsOf(step: number, bits: number): Part[] {
  return Array.from({ length: Math.ceil(bits / step) }, (_, i) => ({
    low: i * step,
    high: Math.min(bits, (i + 1) * step) - 1,
  }));
}

/** From the first of these bits to after the last, counted from the start of the ruler. */
function spanOf(positions: Int32Array, low: number, high: number, begin: number): [number, number] {
  const part = positions.slice(low, high + 1);
  const first = part.reduce((x, y) => Math.min(x, y), Infinity);
  const last = part.reduce((x, y) => Math.max(x, y), -Infinity);
  return first < 0 ? [-1, -1] : [first - begin, last + 1 - begin];
}

const wordStart = (block: Block, at: number): number =>
  Math.floor(at / block.chain.frame.wordBits) * block.chain.frame.wordBits;

function rulerOf(block: Block, boxes: MapBox[], arrivals: number[]): MapRuler {
  const w = block.chain.frame.wordBits;
  const length = Math.ceil(Math.max(w, ...boxes.map((b) => b.to), ...arrivals) / w) * w;
  const addresses = boxes.map((b) => b.address);
  const [first = '', last = ''] = [addresses[0], addresses.at(-1)];
  return { range: first === last ? first : `${first}–${last}`, length, breaks: [], boxes, overlaps: [] };
}
