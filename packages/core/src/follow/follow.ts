import { formatSpan } from '../address/format-address.js';
import type { Span } from '../address/resolve.js';
import { sidesOf } from '../lane/sides-of.js';
import { laneName } from '../lane/compare.js';
import { sideOf, type Side } from '../lane/side.js';
import { SWAP_WORDS } from '../lane/swap-words.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Project } from '../model/project.js';
import { NO_AGE, withLane, withScan, type Age } from './age.js';
import { itemSpans } from './item-spans.js';

export type Way = 'forward' | 'back';

/** One place that a value comes through. */
export interface Hop {
  /** how many lanes lie between it and the start */
  depth: number;
  station: string;
  claim: string;
  /** the value there, where it has a name of its own */
  item: string | null;
  name: string;
  /** in the end's own notation */
  address: string;
  lane: string;
  exchange: string;
  exchangeName: string;
  /** a swap on arriving or leaving here; empty: none */
  swap: string;
  /** how old it can be here at most; going back, at the start */
  age: Age;
}

const MOST_HOPS = 500;

/**
 * From a claim, or a value of it, through every lane and station to its last sinks (`forward`), or to its first sources
 * (`back`). The first hop is the start. A lane is passed once.
 */
export function follow(project: Project, claimId: string, item: string | null, way: Way): Hop[] {
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
      for (const next of spans ? onwards(project, other, spans, way) : []) {
        if (!passed.has(next.at.lane.id)) walk(next.side, next.item, next.at, depth + 1, arrived);
      }
    }
  };
  const begins = moves(start, way === 'forward' ? 'takes' : 'puts');
  if (begins) walk(start, item, { lane, exchange }, 0, withScan(NO_AGE, start.station));
  else {
    const spans = itemSpans(start, item);
    hops.push(hopOf(project, start, item, { lane, exchange }, 0, withScan(NO_AGE, start.station)));
    passed.add(lane.id);
    for (const next of spans ? onwards(project, start, spans, way) : []) {
      walk(next.side, next.item, next.at, 0, withScan(NO_AGE, start.station));
    }
  }
  // A hop that only hands on what the one before it holds says nothing more.
  return hops.filter((hop, i) => i === 0 || hop.claim !== hops[i - 1]!.claim || hop.item !== hops[i - 1]!.item);
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
function onwards(project: Project, from: Side, spans: readonly Span[], way: Way): Onward[] {
  const area = from.block?.place.area;
  if (!area) return [];
  return project.referrers('claim', area).flatMap((id): Onward[] => {
    const claim = project.get('claim', id);
    const lane = claim && claim.id !== from.claim.id ? project.get('lane', claim.lane) : undefined;
    const exchange = lane && project.get('exchange', lane.exchange);
    const side = claim && exchange ? sideOf(project, claim, exchange) : null;
    if (!lane || !exchange || !side || !moves(side, way === 'forward' ? 'takes' : 'puts')) return [];
    if (!side.block || !meet(side.block.spans, spans)) return [];
    const keys = Object.keys(side.claim.items).filter((key) => meet(itemSpans(side, key) ?? [], spans));
    const at = { lane, exchange };
    return keys.length === 1 ? [{ side, item: keys[0]!, at }] : [{ side, item: null, at }];
  });
}

const meet = (a: readonly Span[], b: readonly Span[]): boolean =>
  a.some((x) => b.some((y) => x.start < y.end && y.start < x.end));

function hopOf(
  project: Project,
  side: Side,
  item: string | null,
  { lane, exchange }: { lane: Lane; exchange: Exchange },
  depth: number,
  age: Age,
): Hop {
  const [first] = itemSpans(side, item) ?? [];
  const swap = side.claim.swap ?? side.end.swap;
  return {
    ...{ depth, station: side.station.id, claim: side.claim.id, item, lane: lane.id, exchange: exchange.id, age },
    name: (item !== null && side.claim.items[item]?.name) || side.claim.name || laneName(project, lane),
    address: first && side.block ? formatSpan(side.block.memory, first) : '',
    exchangeName: exchange.name,
    swap: swap === 'none' ? '' : SWAP_WORDS[swap],
  };
}
