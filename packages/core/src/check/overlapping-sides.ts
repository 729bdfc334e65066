import { memoryOf, type Memory } from '../address/memory.js';
import { laneName } from '../lane/compare.js';
import type { Use } from '../lane/occupancy.js';
import { blockOf, rangeOf } from '../lane/side.js';
import type { Claim } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Reader } from '../model/project.js';
import type { Overlap } from './rule.js';

/** One of two claims that put data into the same bits, with its lane's name and its range as its station writes it. */
export interface OverlappingSide {
  claim: Claim;
  lane: Lane;
  end: End;
  exchange: Exchange;
  name: string;
  range: string;
}

/** Both sides of an overlap, in order of their ids; null where one of them is gone. */
export function overlappingSides(
  reader: Reader,
  { a, b }: Overlap,
): { memory: Memory; first: OverlappingSide; second: OverlappingSide } | null {
  const memory = memoryOf(reader, a.area);
  const sides = [a, b]
    .map((use) => sideOfUse(reader, use))
    .sort((x, y) => (x && y && x.claim.id < y.claim.id ? -1 : 1));
  const [first, second] = sides;
  return memory && first && second ? { memory, first, second } : null;
}

function sideOfUse(reader: Reader, use: Use): OverlappingSide | null {
  const claim = reader.get('claim', use.claim);
  const lane = claim && reader.get('lane', claim.lane);
  const end = claim && reader.get('end', claim.end);
  const exchange = lane && reader.get('exchange', lane.exchange);
  const block = claim && end && exchange && blockOf(reader, claim, end, exchange);
  return block ? { claim, lane, end, exchange, name: laneName(reader, lane), range: rangeOf(block) } : null;
}
