import { digestOf } from '../model/digest.js';
import { readable } from '../model/as-typed.js';
import { childrenOf } from '../model/order.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import { placeText } from '../place/place-text.js';
import type { Party } from '../rehearse/party.js';
import { pathsOf, type Path } from '../rehearse/path.js';
import { pairFacts, pathFacts } from '../rehearse/standing.js';
import { pairsOf, type OwnValue, type ValuePair } from '../rehearse/values.js';
import { itemAddress } from '../sheet/sheet.js';
import type { Point, PointEnd } from './point.js';

/** A lane that gives no points yet, and why. */
export interface Untestable {
  lane: string;
  why: string;
}

/** The points of a lane in the order of its values, from every source to every sink; or why it has none yet. */
export function pointsOfLane(reader: Reader, exchange: Exchange, lane: Lane): Point[] | Untestable {
  const paths = pathsOf(reader, exchange, lane);
  if (typeof paths === 'string') return { lane: lane.id, why: paths };
  const points: Point[] = [];
  const polarities = childrenOf(reader, 'claim', lane.id).map((claim) => restOf(reader, claim));
  let why = 'nothing of it goes from one end to another';
  for (const path of paths) {
    const found = path.moves === null ? path.stopped : pairsOf(path.source, path.sink);
    if (found === null || typeof found === 'string') {
      why = found ?? why;
      continue;
    }
    const way = digestOf([pathFacts(reader, path), lane.contact ?? null, polarities]);
    for (const pair of inLaneOrder(found.pairs, lane))
      points.push({
        key: ['value', lane.id, pair.key || '-', path.source.end.id, path.sink.end.id].join(' '),
        sort: 'value',
        lane: lane.id,
        exchange: exchange.id,
        item: pair.key,
        from: endOf(reader, path.source, pair.source),
        to: endOf(reader, path.sink, pair.sink),
        basis: digestOf([way, pairFacts(pair)]),
      });
  }
  return points.length > 0 ? points : { lane: lane.id, why };
}

/** One point of a lane with all that moves it. */
export interface FoundPoint {
  path: Path;
  pair: ValuePair;
  /** the values of the same way, itself among them */
  pairs: readonly ValuePair[];
}

/** The way and the values of a point; null: it is not there any more. */
export function findPoint(reader: Reader, { lane: id, item, from, to }: Point): FoundPoint | null {
  const lane = reader.get('lane', id);
  const exchange = lane && reader.get('exchange', lane.exchange);
  const paths = lane && exchange ? pathsOf(reader, exchange, lane) : '';
  if (typeof paths === 'string' || !lane) return null;
  const path = paths.find(({ source, sink }) => source.end.id === from.end && sink.end.id === to.end);
  const found = path && pairsOf(path.source, path.sink);
  if (!path || !found || typeof found === 'string') return null;
  const pairs = inLaneOrder(found.pairs, lane);
  const pair = pairs.find(({ key }) => key === item);
  return pair ? { path, pair, pairs } : null;
}

function inLaneOrder(pairs: readonly ValuePair[], { items }: Lane): readonly ValuePair[] {
  if (pairs.length < 2) return pairs;
  const rank = ({ key }: ValuePair) => items[key]?.order ?? 0;
  return [...pairs].sort((a, b) => rank(a) - rank(b));
}

function endOf(reader: Reader, { end, station, claim }: Party, value: OwnValue): PointEnd {
  const item = claim.items[value.key];
  const place = readable(claim.place);
  const address = item ? itemAddress(reader, claim, item) : place ? placeText(reader, place) : '';
  return { end: end.id, station: station.id, at: station.name, name: value.name || claim.name, address };
}

const restOf = (reader: Reader, claim: Party['claim']) => {
  const place = readable(claim.place);
  return (place && reader.get('tag', place.area)?.polarity) ?? null;
};
