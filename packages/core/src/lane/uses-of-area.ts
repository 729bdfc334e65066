import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { claimsIn, copiesIn } from './claims-in.js';
import type { Use } from './occupancy.js';
import { sideOf } from './side.js';
import { useOf, usesOfCopy, usesOfLanding } from './uses.js';

/** Every use of an area, worked out without an engine. */
export function usesOfArea(reader: Reader, area: string): Use[] {
  const claims = claimsIn(reader, area).flatMap((claim) => {
    const lane = reader.get('lane', claim.lane);
    const exchange = lane && reader.get('exchange', lane.exchange);
    const side = exchange && sideOf(reader, claim, exchange);
    return side ? (useOf(side) ?? []) : [];
  });
  const copies = copiesIn(reader, area).flatMap((copy) => usesOfCopy(reader, copy));
  const landings = childrenOf(reader, 'landing', area).flatMap((landing) => usesOfLanding(reader, landing));
  return [...claims, ...copies, ...landings].filter((use) => use.area === area);
}
