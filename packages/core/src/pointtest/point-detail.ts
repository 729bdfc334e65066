import { elementary } from '../data/types.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Polarity } from '../model/words.js';
import { tagOf } from '../place/open-of.js';
import { carriedNumber } from '../rehearse/carry-number.js';
import { roomOf } from '../rehearse/characters.js';
import type { Party } from '../rehearse/party.js';
import { scaled } from '../rehearse/scaled.js';
import { shownValue } from '../rehearse/shown-value.js';
import { triesOf } from '../rehearse/tries.js';
import type { OwnValue, ValuePair } from '../rehearse/values.js';
import { broughtFrom, type BroughtFrom } from './brought-from.js';
import type { Point } from './point.js';
import { findPoint, pointsOfLane } from './points-of-lane.js';

/** A value to set, and what is to be seen then. */
export interface PointTry {
  set: string;
  expect: string;
  /** of an array: which element; empty: all of it is one value */
  element: string;
  /** the raw value that is expected, for the value lab */
  base: string;
}

/** How one point is tested. */
export interface PointDetail {
  tries: readonly PointTry[];
  /** where the value begins; empty: where it is sent from */
  brought: readonly BroughtFrom[];
  /** what lies beside it at the sink, and must not move; null: nothing does */
  still: { name: string; address: string } | null;
  /** what it is at rest, where a contact or a tag says so; empty: nobody does */
  atRest: string;
  /** whether its sink says of which quality it is */
  quality: boolean;
}

/** What to set, what to expect, and what must stand still, each as its own end writes it; null: it is not in the plan any more. */
export function pointDetail(reader: Reader, point: Point): PointDetail | null {
  if (point.sort !== 'value') return reachDetail(point);
  const found = findPoint(reader, point);
  if (!found) return null;
  const { path, pair, pairs } = found;
  return {
    tries: triesAt(reader, path.source, path.sink, pair),
    brought: broughtFrom(reader, path.source, pair.source.key),
    still: stillBeside(reader, point, pairs, pair),
    atRest: restOf(reader, point, path.source, path.sink, pair),
    quality: reader.get('exchange', point.exchange)?.kind === 'tag map',
  };
}

function reachDetail({ sort, from, to }: Point): PointDetail {
  const at = to.address ? `${to.at} (${to.address})` : to.at;
  const expect =
    sort === 'reach'
      ? `an answer of ${at} itself; one of the own computer proves nothing`
      : 'no answer within the timeout; a refusal by the network counts, one by the own computer does not';
  const tried: PointTry = { set: `ask ${at} for ${from.name} from ${from.at}`, expect, element: '', base: '' };
  return { tries: [tried], brought: [], still: null, atRest: '', quality: false };
}

/** Elements of an array are tested at both ends of it. */
function elementsOf({ type: { count } }: OwnValue): { n: number; word: string }[] {
  if (count === 1) return [{ n: 0, word: '' }];
  return [
    { n: 0, word: `element 1 of ${count}` },
    { n: count - 1, word: `element ${count} of ${count}` },
  ];
}

function triesAt(reader: Reader, from: Party, to: Party, { source, sink }: ValuePair): PointTry[] {
  const [base, taken] = [source.type.base, sink.type.base];
  const family = elementary(base)?.family;
  if (family === 'text' || family === 'character') {
    const most = family === 'text' ? roomOf(source) : 1;
    return ['AbCd12', 'XyZ'].map((text) => {
      const short = `'${text.slice(0, Math.max(1, most))}'`;
      return { set: short, expect: short, element: '', base: taken };
    });
  }
  const values = valuesOf(reader, base, from, source);
  const elements = elementsOf(source);
  // Of an array each of its two ends gets another value.
  return values.slice(0, elements.length > 1 ? elements.length : values.length).map((value, i) => ({
    set: inWords(reader, from, source, base, value),
    expect: inWords(reader, to, sink, taken, carriedNumber(base, taken, value) ?? value),
    element: elements[elements.length > 1 ? i : 0]!.word,
    base: taken,
  }));
}

/** Two values that follow one another: so it is seen that the second is no old one. [common practice] */
function valuesOf(reader: Reader, base: string, party: Party, own: OwnValue): (number | bigint)[] {
  const tries = triesOf(base);
  const scaling = own.key === '' ? tagOf(reader, party.claim)?.scaling : null;
  if (scaling && 'rawLow' in scaling) {
    // Within what the signal can be, at a tenth and at nine of it.
    const [low, high] = [Math.min(scaling.rawLow, scaling.rawHigh), Math.max(scaling.rawLow, scaling.rawHigh)];
    const within = [0.1, 0.9].map((part) => low + part * (high - low));
    return elementary(base)?.family === 'real' ? within : within.map((value) => BigInt(Math.round(value)));
  }
  const [first, ...others] = tries;
  if (first === undefined) return [];
  // A sign tells more than a second large number.
  const second = others.find((value) => value < 0) ?? others[0];
  return second === undefined ? [first] : [first, second];
}

function inWords(reader: Reader, { claim }: Party, own: OwnValue, base: string, value: number | bigint): string {
  const tag = own.key === '' ? tagOf(reader, claim) : undefined;
  const inUnit = tag && scaled(tag, value);
  return shownValue(base, value) + (inUnit ? ` = ${inUnit}` : '');
}

/** The next value of the same block at the sink, else the one before; else the first of the lane beside it. */
function stillBeside(reader: Reader, point: Point, pairs: readonly ValuePair[], pair: ValuePair): PointDetail['still'] {
  const lane = reader.get('lane', point.lane)!;
  const at = pairs.indexOf(pair);
  const beside = pairs[at + 1] ?? pairs[at - 1];
  const exchange = reader.get('exchange', point.exchange)!;
  const own = pointsOfLane(reader, exchange, lane);
  const near =
    beside && Array.isArray(own) ? own.find(({ item, to }) => item === beside.key && to.end === point.to.end) : null;
  const next = near ?? besideLane(reader, point);
  return next ? { name: next.to.name, address: next.to.address } : null;
}

function besideLane(reader: Reader, { lane: id, exchange: exchangeId, to }: Point): Point | null {
  const exchange = reader.get('exchange', exchangeId)!;
  const lanes = childrenOf(reader, 'lane', exchangeId);
  const at = lanes.findIndex((lane) => lane.id === id);
  for (const lane of [lanes[at + 1], lanes[at - 1]]) {
    const points = lane ? pointsOfLane(reader, exchange, lane) : [];
    const found = Array.isArray(points) ? points.find((point) => point.to.end === to.end) : undefined;
    if (found) return found;
  }
  return null;
}

const AT_REST: Readonly<Record<Polarity, string>> = {
  'true at rest': '1 at rest: operate it, and it goes to 0',
  'true when active': '0 at rest: operate it, and it goes to 1',
};

function restOf(reader: Reader, { lane }: Point, source: Party, sink: Party, { source: own }: ValuePair): string {
  if (own.type.base !== 'BOOL') return '';
  const polarity =
    reader.get('lane', lane)?.contact ??
    [source, sink].map(({ claim }) => tagOf(reader, claim)?.polarity).find(Boolean);
  return polarity ? AT_REST[polarity] : '';
}
