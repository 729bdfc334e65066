import { readable } from '../model/as-typed.js';
import { childrenOf } from '../model/order.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { elementary } from '../data/types.js';
import { compareItems } from './compare-items.js';
import type { Difference } from './difference.js';
import type { Side } from './side.js';
import { sidesOf } from './sides-of.js';
import { listedDifferences } from './listed-type.js';
import { isOwnIo } from './own-io.js';
import { namedTag } from './named-tag.js';
import { placesOf } from './places-of.js';
import { howItTravels, swapMovesBits } from './how-it-travels.js';
import { mirrorDifference, tellsPlace, toldDifference } from './told-place.js';
import { unlikeSetting } from './unlike-setting.js';

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
    if (side.unread.length > 0) {
      unchecked(comparison, `the ${side.unread.join(' and the ')} of ${side.station.name} cannot be read`);
    }
    // Of which type it is can be missing while both ends speak of it.
    if (side.missing.join() === 'type') unchecked(comparison, `${side.station.name} does not say of which type it is`);
    else if (side.missing.length > 0) comparison.verdict = worse(comparison.verdict, 'one-sided');
  }
  const unlike = lane.madeBy ? unlikeSetting(reader, lane, sides) : null;
  if (unlike) unchecked(comparison, unlike);
  const reference = referenceOf(sides);
  if (!reference) return comparison;
  for (const side of sides) if (side !== reference) comparePair(reader, comparison, reference, side);
  bothWays(comparison);
  if (comparison.verdict === 'agreed' && sides.some((s) => s.station.party !== 'own' && !s.end.confirmed)) {
    comparison.verdict = 'described';
  }
  return comparison;
}

/**
 * The claim with which each other is compared: the only source, else the first. Of partners that are chosen while it runs,
 * each is compared with whoever chooses, never with each other.
 */
export function referenceOf(sides: readonly Side[]): Side | undefined {
  const sources = sides.filter((s) => s.claim.direction === 'writes' || s.claim.direction === 'both');
  const chooser = sides.some((s) => s.end.permitted) ? sides.find((s) => !s.end.permitted) : undefined;
  return chooser ?? (sources.length === 1 ? sources[0] : sides[0]);
}

function comparePair(reader: Reader, comparison: Comparison, a: Side, b: Side): void {
  const { exchange, differences } = comparison;
  const before = differences.length;
  const [source, sink] = b.claim.direction === 'writes' && a.claim.direction !== 'writes' ? [b, a] : [a, b];
  const directions = [readable(a.claim.direction), readable(b.claim.direction)];
  if (directions[0] && directions[0] === directions[1] && directions[0] !== 'both') {
    differences.push({ code: 'DIR 1', left: a, right: b, direction: directions[0] });
  }
  if (isOwnIo(exchange) && directions[0] === 'both' && directions[1] === 'both') {
    differences.push({ code: 'DIR 1', left: a, right: b, direction: 'both', never: 'together' });
  }
  const [here, there] = [a.claim.slot ?? null, b.claim.slot ?? null];
  if (exchange.via && here !== null && there !== null && here !== there) {
    differences.push({ code: 'DIR 7', left: a, right: b });
  }
  if (source.block && sink.block) {
    const carriesValues = source.block.chain.carries === 'values';
    if (carriesValues ? otherCount(source, sink) : source.block.payloadBits !== sink.block.payloadBits) {
      differences.push({ code: 'SIZ 1', left: source, right: sink });
    }
    comparePlaces(reader, comparison, a, b);
    const items = compareItems(source, sink);
    differences.push(...items.differences);
    if (items.unknown !== null) unchecked(comparison, items.unknown);
    if (exchange.kind === 'tag map' && items.differences.length === 0) {
      differences.push(...listedDifferences(reader, source, sink));
    }
    for (const side of [a, b]) {
      if (!swapMovesBits(side, howItTravels(exchange, comparison.sides))) continue;
      const { name } = side.station;
      unchecked(comparison, `${name} swaps the register that this bit is in, so which bit of it is meant is not known`);
    }
  }
  if (differences.slice(before).some(keepsFromArriving)) comparison.verdict = 'differs';
}

/** Where the other's data is, as each end names it: by its place, by a name or by a text. */
function comparePlaces(reader: Reader, comparison: Comparison, a: Side, b: Side): void {
  const { exchange, lane, differences } = comparison;
  for (const [teller, other] of [[a, b] as const, [b, a] as const]) {
    const named = namedTag(reader, exchange, lane, teller, other);
    if (named) {
      if (!named.fault && named.elsewhere === null) continue;
      differences.push({ code: named.by === 'by name' ? 'NAM 4' : 'NAM 8', left: teller, right: other });
      continue;
    }
    if (!tellsPlace(exchange, lane, teller)) continue;
    const told = toldDifference(reader, teller, other);
    if (told === 'not told') comparison.verdict = worse(comparison.verdict, 'one-sided');
    else if (told === 'unread') {
      unchecked(comparison, `what ${teller.station.name} has for the place at ${other.station.name} cannot be read`);
    } else if (told) differences.push(told);
  }
  const mirrored = placesOf(exchange, lane) === 'same' ? mirrorDifference(a, b) : null;
  if (mirrored) differences.push(mirrored);
}

/** A capacity that differs, or a sign, is only a Doubt. */
const keepsFromArriving = (d: Difference): boolean =>
  (d.code !== 'SIZ 6' || d.how === 'header') && (d.code !== 'TYP 2' || d.blocks);

/**
 * Where values travel by their types, whether the one block holds another number of elements than the other: each length
 * counted in elements of that end's own type. Where the types themselves say other counts, SIZ 2 does.
 */
function otherCount(source: Side, sink: Side): boolean {
  const [a, b] = [source, sink].map((side) => {
    const type = Object.keys(side.claim.items).length === 0 ? readable(side.claim.type) : null;
    const bits = type ? (elementary(type.base)?.bits ?? 0) : 0;
    return bits > 0 ? { bits, count: type!.count, inBlock: side.block!.payloadBits / bits } : null;
  });
  // Of another width there are other elements, and TYP 1 says so.
  return Boolean(a && b && a.bits === b.bits && a.count === b.count && a.inBlock !== b.inBlock);
}

/** It cannot be compared, and this is why: the first reason stands. */
function unchecked(comparison: Comparison, why: string): void {
  comparison.unknown ??= why;
  comparison.verdict = worse(comparison.verdict, 'unchecked');
}

/** Where an end says that data goes both ways, the others together must take it and give it. */
function bothWays(comparison: Comparison): void {
  for (const side of comparison.sides) {
    const others = comparison.sides.filter((s) => s !== side);
    const said = others.map((s) => readable(s.claim.direction));
    if (side.claim.direction !== 'both' || said.length === 0 || said.some((d) => !d || d === 'both')) continue;
    const [only, ...further] = new Set(said);
    if (!only || only === 'both' || further.length > 0) continue;
    const never = only === 'reads' ? 'writes' : 'reads';
    comparison.differences.push({ code: 'DIR 1', direction: 'both', never, left: side, right: others[0]! });
    comparison.verdict = 'differs';
  }
}

/** How a lane is called in sentences: by the first of its claims that has a name. */
export function laneName(reader: Reader, lane: Lane): string {
  const claims = childrenOf(reader, 'claim', lane.id);
  const ends = childrenOf(reader, 'end', lane.exchange).map((e) => e.id);
  claims.sort((x, y) => ends.indexOf(x.end) - ends.indexOf(y.end));
  return claims.find((c) => c.name.trim() !== '')?.name ?? 'lane without a name';
}
