import type { ElementaryType } from '../data/types.js';
import { compareLane, laneName, worse, type Verdict } from '../lane/compare.js';
import { differingValues, type DifferenceCode } from '../lane/difference.js';
import { elementsIn, type Element } from '../lane/memory-values.js';
import type { Side } from '../lane/side.js';
import { sidesOf } from '../lane/sides-of.js';
import type { Reader } from '../model/project.js';
import { carriedOn } from './carried-on.js';
import { copiedBit, copyPlaces } from './copied.js';
import type { Hop } from './follow.js';

/** What becomes of the data of a whole way, whatever each of its lanes says by itself. */
export interface Composition {
  verdict: Verdict;
  /** what does not arrive, and as what; or why that is not known. Empty where everything arrives */
  why: string;
}

/** A bit of a value of the first hop; null where a value is meant to be that a lane on the way has brought elsewhere. */
type Origin = { element: Element; bit: number } | null;
/** Bits of the memory that a hop lies in, each with what lies there. */
type Memory = Map<number, Origin>;

/** Something of a lane itself is wrong: no way through it brings what is meant. What values become is composed. */
const OF_THE_LANE: readonly DifferenceCode[] = ['DIR 1', 'DIR 7', 'NAM 4', 'NAM 8', 'POS 1', 'SIZ 1', 'SIZ 2'];

/**
 * A way from its first hop to its last, all lanes, copies and memories in between composed bit by bit: agreed where each
 * value that reaches the last is the value that it was, whatever it was called on the way.
 */
export function composed(reader: Reader, way: readonly Hop[]): Composition {
  const lanes = [...new Set(way.flatMap((hop) => hop.lane ?? []))];
  let verdict: Verdict = 'agreed';
  let worstLane: Composition = { verdict: 'agreed', why: '' };
  for (const id of lanes) {
    const lane = reader.get('lane', id);
    const exchange = lane && reader.get('exchange', lane.exchange);
    if (!lane || !exchange) continue;
    const comparison = compareLane(reader, lane, exchange);
    const name = `${exchange.name}, ${laneName(reader, lane)}`;
    if (comparison.differences.some((d) => OF_THE_LANE.includes(d.code))) {
      return { verdict: 'differs', why: `${name} differs` };
    }
    if (comparison.verdict === 'one-sided') return { verdict: 'one-sided', why: `${name} is one-sided` };
    if (comparison.verdict === 'described') verdict = worse(verdict, 'described');
    if (worse(worstLane.verdict, comparison.verdict) !== worstLane.verdict) {
      worstLane = { verdict: comparison.verdict, why: `${name}: ${comparison.unknown ?? comparison.verdict}` };
    }
    if (comparison.sides.some((side) => !side.block || side.unread.length > 0)) {
      return { verdict: 'unchecked', why: `${name}: ${comparison.unknown ?? 'a place or a length is not known'}` };
    }
  }
  // Where it ends in a copy that nobody takes further, no values are known there: the lanes up to it count.
  if (way.at(-1)?.holder.kind === 'copy') return worstLane;
  const found = valuesAtEnd(reader, way);
  return found.verdict === 'agreed' ? { verdict, why: '' } : found;
}

function valuesAtEnd(reader: Reader, way: readonly Hop[]): Composition {
  const [first, ...rest] = way;
  const start = first && sideAt(reader, first);
  if (!first || !start?.block) return unknown('where it begins is not known');
  let memory: Memory = new Map();
  for (const element of elementsOf(start, first.item)) {
    element.bits.forEach((bit, i) => memory.set(bit, { element, bit: i }));
  }
  if (memory.size === 0) return unknown(`the type of ${first.name || 'the block'} is not known`);
  let before = first;
  for (const hop of rest) {
    const next = moved(reader, before, hop, memory);
    if (!next) return unknown(`what becomes of it at ${hop.name || 'a hop'} is not known`);
    memory = next;
    before = hop;
  }
  const last = sideAt(reader, before);
  if (!last?.block) return { verdict: 'agreed', why: '' };
  let worst: Composition = { verdict: 'agreed', why: '' };
  const elements = elementsOf(last, before.item);
  if (!elements.some(({ bits }) => bits.some((bit) => memory.has(bit)))) {
    return {
      verdict: 'differs',
      why: `nothing of ${first.name || 'what is sent'} is taken by ${before.name || 'the last'}`,
    };
  }
  for (const element of elements) {
    const found = arrivedAs(element, memory);
    if (found && worse(worst.verdict, found.verdict) !== worst.verdict) worst = found;
  }
  return worst;
}

/** The values that do not arrive between the two ends of a lane, by key. */
function differingIn(reader: Reader, id: string): Record<string, string> {
  const lane = reader.get('lane', id);
  const exchange = lane && reader.get('exchange', lane.exchange);
  return lane && exchange ? differingValues(compareLane(reader, lane, exchange).differences) : {};
}

const unknown = (why: string): Composition => ({ verdict: 'unchecked', why });

const elementsOf = (side: Side, item: string | null): Element[] =>
  elementsIn(side, -Infinity, Infinity).filter(({ value }) => item === null || value.key === item);

function sideAt(reader: Reader, hop: Hop): Side | null {
  const lane = hop.lane ? reader.get('lane', hop.lane) : undefined;
  const exchange = lane && reader.get('exchange', lane.exchange);
  return lane && exchange ? (sidesOf(reader, lane, exchange).find((s) => s.claim.id === hop.holder.id) ?? null) : null;
}

/** The memory of the next hop, from that of the hop before. */
function moved(reader: Reader, from: Hop, to: Hop, memory: Memory): Memory | null {
  if (to.holder.kind === 'copy') return copiedOn(reader, to.holder.id, memory);
  const sink = sideAt(reader, to);
  if (!sink?.block) return null;
  // Another claim of the same memory: the same bits.
  if (from.holder.kind === 'copy' || from.lane !== to.lane) return memory;
  const source = sideAt(reader, from);
  if (!source?.block) return null;
  const next =
    source.block.chain.carries === 'values' ? byValue(source, sink, memory) : carriedOn(source, sink, memory);
  // Where the lane says that a value lies which does not arrive there, nothing of it does.
  const lost = to.lane ? differingIn(reader, to.lane) : {};
  for (const { value, bits } of elementsOf(sink, null)) {
    if (lost[value.key] === undefined) continue;
    for (const bit of bits) if (!next.has(bit)) next.set(bit, null);
  }
  return next;
}

/** What travels by its type comes out as that value, of whatever width and order. */
function byValue(source: Side, sink: Side, memory: Memory): Memory {
  const next: Memory = new Map();
  const there = new Map(elementsOf(sink, null).map((element) => [`${element.value.key} ${element.index}`, element]));
  for (const element of elementsOf(source, null)) {
    const arrived = there.get(`${element.value.key} ${element.index}`);
    arrived?.bits.forEach((bit, i) => {
      const label = memory.get(element.bits[i] ?? element.bits.at(-1)!);
      if (label !== undefined) next.set(bit, label && i >= element.bits.length ? { ...label, bit: i } : label);
    });
  }
  return next;
}

function copiedOn(reader: Reader, id: string, memory: Memory): Memory | null {
  const copy = reader.get('copy', id);
  const places = copy && copyPlaces(reader, copy);
  if (!places) return null;
  const { from, to, bits } = places;
  const next: Memory = new Map();
  for (const [bit, label] of memory) {
    const at = copiedBit(from, to, bits, bit);
    if (at !== null) next.set(at, label);
  }
  return next;
}

/** What the last hop takes for a value, held against what lies there; null where nothing of the first hop does. */
function arrivedAs(taken: Element, memory: Memory): Composition | null {
  const labels = Array.from(taken.bits, (bit) => memory.get(bit));
  const [first] = labels;
  if (labels.every((label) => label === undefined)) return null;
  const name = taken.value.name || 'a value';
  const known = labels.find((label) => label);
  if (!known || labels.includes(null)) return { verdict: 'differs', why: `${name} does not arrive` };
  const put = known.element;
  if (taken.type.family === 'bool') return null;
  if (first && labels.every((label, i) => label?.element === first.element && label.bit === i)) {
    if (isRaw(put.type) !== isRaw(taken.type) && put.type.bits !== taken.type.bits) {
      return unknown(`one end has registers for ${name}, so their order is not known`);
    }
    if (!isRaw(put.type) && !isRaw(taken.type) && taken.bits.length < put.bits.length) {
      return { verdict: 'differs', why: `${name} gets a part of ${put.value.name || 'a value'}` };
    }
    return alike(put.type, taken.type) || isRaw(put.type) || isRaw(taken.type)
      ? null
      : { verdict: 'differs', why: `${name} is put in as ${put.type.name} and taken out as ${taken.type.name}` };
  }
  if (isRaw(taken.type) || isRaw(put.type)) {
    return unknown(`one end has registers for ${name}, so their order is not known`);
  }
  return { verdict: 'differs', why: `${name} gets other bits than those of ${put.value.name || 'a value'}` };
}

const isRaw = ({ family }: ElementaryType): boolean => family === 'bit string' || family === 'bool';

/** Whole numbers of any sign are one sort, reals, durations and texts each another. */
const alike = (a: ElementaryType, b: ElementaryType): boolean => sort(a) === sort(b);
const sort = ({ family }: ElementaryType): string => (family === 'signed' || family === 'unsigned' ? 'whole' : family);
