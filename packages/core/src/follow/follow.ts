import { formatSpan } from '../place/format-address.js';
import type { Span } from '../place/resolve.js';
import { claimsIn, copiesIn } from '../lane/claims-in.js';
import { sidesOf } from '../lane/sides-of.js';
import { laneName } from '../lane/compare.js';
import { sideOf, type Side } from '../lane/side.js';
import { SWAP_WORDS } from '../lane/swap-words.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { NO_AGE, withCopy, withLane, withScan, type Age } from './age.js';
import { copied, copyPlaces } from './copied.js';
import { itemSpans } from './item-spans.js';

export type Way = 'forward' | 'back';

/** One place that a value comes through. */
export interface Hop {
  /** how many lanes and copies lie between it and the start */
  depth: number;
  station: string;
  /** the claim or the copy that says so */
  holder: { kind: 'claim' | 'copy'; id: string };
  /** the value there, where it has a name of its own */
  item: string | null;
  name: string;
  /** in the end's own notation */
  address: string;
  /** of a claim */
  lane: string | null;
  exchange: string | null;
  /** the exchange, or the copy */
  by: string;
  /** a swap on arriving or leaving here; empty: none */
  swap: string;
  /** how old it can be here at most; going back, at the start */
  age: Age;
}

const MOST_HOPS = 500;

/**
 * From a claim, or a value of it, through every lane, copy and station to its last sinks (`forward`), or to its first
 * sources (`back`). The first hop is the start. A lane or a copy is passed once.
 */
export function follow(project: Reader, claimId: string, item: string | null, way: Way): Hop[] {
  const claim = project.get('claim', claimId);
  const lane = claim && project.get('lane', claim.lane);
  const exchange = lane && project.get('exchange', lane.exchange);
  const start = exchange && sideOf(project, claim, exchange);
  if (!lane || !exchange || !start) return [];
  const hops: Hop[] = [];
  const passed = new Set<string>();
  const walk = (side: Side, key: string | null, at: { lane: Lane; exchange: Exchange }, depth: number, age: Age) => {
    hops.push(hopOf(project, side, key, at, depth, age));
    if (passed.has(at.lane.id) || hops.length >= MOST_HOPS) return;
    passed.add(at.lane.id);
    for (const other of sidesOf(project, at.lane, at.exchange)) {
      if (other.claim.id === side.claim.id || !moves(other, way === 'forward' ? 'puts' : 'takes')) continue;
      const there = key !== null && other.claim.items[key] ? key : null;
      const arrived = withScan(withLane(project, age, at.exchange, other.claim), other.station);
      const spans = itemSpans(other, there);
      hops.push(hopOf(project, other, there, at, depth + 1, arrived));
      if (spans && other.block) onFrom(other.block.place.area, spans, other.claim.id, depth + 1, arrived);
    }
  };
  /** What goes on from these bits of an area: claims, and copies, from whose target it goes on again. */
  const onFrom = (area: string, spans: readonly Span[], but: string, depth: number, age: Age) => {
    for (const next of onwards(project, area, spans, but, way)) {
      if (!passed.has(next.at.lane.id)) walk(next.side, next.item, next.at, depth, age);
    }
    for (const copy of copiesIn(project, area)) {
      const there = passed.has(copy.id) ? [] : copied(project, copy, spans, way, area);
      const target = there.length > 0 ? copyPlaces(project, copy)?.[way === 'forward' ? 'to' : 'from'] : undefined;
      if (!target || hops.length >= MOST_HOPS) continue;
      passed.add(copy.id);
      const { station } = target.memory;
      const later = withCopy(age, copy.name, station);
      hops.push({
        depth: depth + 1,
        station: station.id,
        holder: { kind: 'copy', id: copy.id },
        item: null,
        swap: '',
        lane: null,
        exchange: null,
        by: 'copied',
        name: copy.name,
        age: later,
        address: formatSpan(target.memory, there[0]!),
      });
      onFrom(target.place.area, there, copy.id, depth + 1, later);
    }
  };
  const age = withScan(NO_AGE, start.station);
  if (moves(start, way === 'forward' ? 'takes' : 'puts')) walk(start, item, { lane, exchange }, 0, age);
  else {
    hops.push(hopOf(project, start, item, { lane, exchange }, 0, age));
    passed.add(lane.id);
    const spans = itemSpans(start, item);
    if (spans && start.block) onFrom(start.block.place.area, spans, start.claim.id, 0, age);
  }
  // A hop that only hands on what the one before it holds says nothing more.
  return hops.filter((hop, i) => {
    const before = hops[i - 1];
    return !before || hop.holder.id !== before.holder.id || hop.item !== before.item;
  });
}

/** Puts: what arrives goes into its own memory. Takes: it takes data out and sends it. */
function moves({ claim }: Side, what: 'puts' | 'takes'): boolean {
  return claim.direction === 'both' || claim.direction === (what === 'puts' ? 'reads' : 'writes');
}

interface Onward {
  side: Side;
  item: string | null;
  at: { lane: Lane; exchange: Exchange };
}

/** Claims of the same memory over the same bits: those that take data out of them, or going back, those that put it there. */
function onwards(project: Reader, area: string, spans: readonly Span[], but: string, way: Way): Onward[] {
  return claimsIn(project, area).flatMap((claim): Onward[] => {
    const lane = claim.id !== but ? project.get('lane', claim.lane) : undefined;
    const exchange = lane && project.get('exchange', lane.exchange);
    const side = exchange ? sideOf(project, claim, exchange) : null;
    if (!lane || !exchange || !side || !moves(side, way === 'forward' ? 'takes' : 'puts')) return [];
    if (side.block?.place.area !== area || !meet(side.block.spans, spans)) return [];
    const keys = Object.keys(side.claim.items).filter((key) => meet(itemSpans(side, key) ?? [], spans));
    const at = { lane, exchange };
    return keys.length === 1 ? [{ side, item: keys[0]!, at }] : [{ side, item: null, at }];
  });
}

const meet = (a: readonly Span[], b: readonly Span[]): boolean =>
  a.some((x) => b.some((y) => x.start < y.end && y.start < x.end));

function hopOf(
  project: Reader,
  side: Side,
  item: string | null,
  { lane, exchange }: { lane: Lane; exchange: Exchange },
  depth: number,
  age: Age,
): Hop {
  const [first] = itemSpans(side, item) ?? [];
  const swap = side.claim.swap ?? side.end.swap;
  return {
    depth,
    station: side.station.id,
    item,
    lane: lane.id,
    exchange: exchange.id,
    age,
    holder: { kind: 'claim', id: side.claim.id },
    name: (item !== null && side.claim.items[item]?.name) || side.claim.name || laneName(project, lane),
    address: first && side.block ? formatSpan(side.block.memory, first) : '',
    by: exchange.name,
    swap: swap === 'none' ? '' : SWAP_WORDS[swap],
  };
}
