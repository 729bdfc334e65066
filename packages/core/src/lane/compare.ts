import { readable } from '../model/as-typed.js';
import { childrenOf } from '../model/order.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { compareItems } from './compare-items.js';
import type { Difference } from './difference.js';
import type { Side } from './side.js';
import { sidesOf } from './sides-of.js';
import { namedTag } from './named-tag.js';
import { placesOf } from './places-of.js';
import { mirrorDifference, toldDifference } from './told-place.js';

/** Agreed, or why not. See model.md of the terms in docs. */
export type Verdict = 'agreed' | 'differs' | 'one-sided' | 'described' | 'unchecked';

/** From best to worst; of several results a lane shows the worst. */
export const VERDICTS: readonly Verdict[] = ['agreed', 'described', 'unchecked', 'one-sided', 'differs'];

export function worse(a: Verdict, b: Verdict): Verdict {
  return VERDICTS.indexOf(a) >= VERDICTS.indexOf(b) ? a : b;
}

/** What comparing all claims of a lane gives. */
export interface Comparison {
  lane: Lane;
  exchange: Exchange;
  /** in order of the ends; a missing claim is not among them */
  sides: Side[];
  /** ends that say nothing of this lane */
  silent: End[];
  verdict: Verdict;
  differences: Difference[];
  /** why a lane is unchecked although both claims are there */
  unknown: string | null;
}

/** Compares every claim of a lane with one reference: the only source, else the first. */
export function compareLane(reader: Reader, lane: Lane, exchange: Exchange): Comparison {
  const ends = childrenOf(reader, 'end', exchange.id);
  const sides = sidesOf(reader, lane, exchange);
  // With more than two ends a lane is between those that speak of it: a taker need not take every variable.
  const spoken = ends.length > 2 && sides.length > 1;
  const silent = spoken ? [] : ends.filter((end) => !sides.some((s) => s.end.id === end.id));
  const comparison: Comparison = { lane, exchange, sides, silent, verdict: 'agreed', differences: [], unknown: null };
  if (silent.length > 0 || ends.length < 2) comparison.verdict = 'one-sided';
  for (const side of sides) {
    if (side.unread.length > 0) comparison.verdict = worse(comparison.verdict, 'unchecked');
    if (side.missing.length > 0) comparison.verdict = worse(comparison.verdict, 'one-sided');
  }
  const sources = sides.filter((s) => s.claim.direction === 'writes' || s.claim.direction === 'both');
  // Of partners that are chosen while it runs, each is compared with whoever chooses, never with each other.
  const chooser = sides.some((s) => s.end.permitted) ? sides.find((s) => !s.end.permitted) : undefined;
  const reference = chooser ?? (sources.length === 1 ? sources[0]! : sides[0]);
  if (!reference) return comparison;
  for (const side of sides) if (side !== reference) comparePair(reader, comparison, reference, side);
  if (comparison.verdict === 'agreed' && sides.some((s) => s.station.party !== 'own' && !s.end.confirmed)) {
    comparison.verdict = 'described';
  }
  return comparison;
}

function comparePair(reader: Reader, comparison: Comparison, a: Side, b: Side): void {
  const { differences } = comparison;
  const before = differences.length;
  const [source, sink] = b.claim.direction === 'writes' && a.claim.direction !== 'writes' ? [b, a] : [a, b];
  const directions = [readable(a.claim.direction), readable(b.claim.direction)];
  if (directions[0] && directions[0] === directions[1] && directions[0] !== 'both') {
    differences.push({ code: 'DIR 1', left: a, right: b, direction: directions[0] });
  }
  const [here, there] = [a.claim.slot ?? null, b.claim.slot ?? null];
  if (comparison.exchange.via && here !== null && there !== null && here !== there) {
    differences.push({ code: 'DIR 7', left: a, right: b });
  }
  if (source.block && sink.block) {
    const carriesValues = source.block.chain.carries === 'values';
    if (!carriesValues && source.block.payloadBits !== sink.block.payloadBits) {
      differences.push({ code: 'SIZ 1', left: source, right: sink });
    }
    const places = placesOf(comparison.exchange, comparison.lane);
    for (const [caller, other] of [[a, b] as const, [b, a] as const]) {
      const named = namedTag(reader, comparison.exchange, comparison.lane, caller, other);
      if (!named || (!named.fault && named.elsewhere === null)) continue;
      differences.push({ code: named.by === 'by name' ? 'NAM 4' : 'NAM 8', left: caller, right: other });
    }
    if (places === 'named') {
      const told = toldDifference(reader, a, b) ?? toldDifference(reader, b, a);
      if (told === 'not told') comparison.verdict = worse(comparison.verdict, 'one-sided');
      else if (told === 'unread') comparison.verdict = worse(comparison.verdict, 'unchecked');
      else if (told) differences.push(told);
    }
    const mirrored = places === 'same' ? mirrorDifference(a, b) : null;
    if (mirrored) differences.push(mirrored);
    const items = compareItems(source, sink);
    differences.push(...items.differences);
    if (items.unknown !== null) {
      comparison.unknown = items.unknown;
      comparison.verdict = worse(comparison.verdict, 'unchecked');
    }
  }
  if (
    differences
      .slice(before)
      .some((d) => (d.code !== 'SIZ 6' || d.how === 'header') && (d.code !== 'TYP 2' || d.blocks))
  )
    comparison.verdict = 'differs';
}

/** How a lane is called in sentences: by the first of its claims that has a name. */
export function laneName(reader: Reader, lane: Lane): string {
  const claims = childrenOf(reader, 'claim', lane.id);
  const ends = childrenOf(reader, 'end', lane.exchange).map((e) => e.id);
  claims.sort((x, y) => ends.indexOf(x.end) - ends.indexOf(y.end));
  return claims.find((c) => c.name.trim() !== '')?.name ?? 'lane without a name';
}
