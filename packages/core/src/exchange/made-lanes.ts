import { dequal } from 'dequal/lite';
import type { Change } from '../change/change.js';
import type { Exchange } from '../model/exchange.js';
import type { Lane } from '../model/lane.js';
import type { Claim } from '../model/claim.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { lanesFromDials } from './radio-lanes.js';
import { lanesFromLandings } from './remote-io.js';

/** Whether two values are the same, in whatever order their fields were written. */
export const sameValue = (a: unknown, b: unknown): boolean => dequal(a, b);

/** The changes that take out lanes of this origin that nothing makes any more, with their claims. */
export function withoutUnmade(
  reader: Reader,
  lanes: Iterable<Lane>,
  origin: string,
  kept: ReadonlySet<string>,
): Change[] {
  return [...lanes].flatMap((lane) => {
    if (!lane.madeBy?.startsWith(origin) || kept.has(lane.madeBy)) return [];
    const claims = childrenOf(reader, 'claim', lane.id).map((claim) => dropped('claim', claim));
    return [...claims, dropped('lane', lane)];
  });
}

const dropped = (kind: 'lane' | 'claim', entity: Lane | Claim): Change => ({
  kind,
  id: entity.id,
  path: [],
  before: { ...entity } as never,
});

/** What would make the lanes of an exchange what they follow from; null where its lanes follow from nothing. */
export function lanesMade(
  reader: Reader,
  exchange: Exchange,
  newId: () => string,
): { from: 'module assignments' | 'rotary switches'; changes: Change[] } | null {
  if (exchange.kind === 'remote I/O')
    return { from: 'module assignments', changes: lanesFromLandings(reader, exchange, newId) };
  if (exchange.protocol !== 'radio-mirror') return null;
  return { from: 'rotary switches', changes: lanesFromDials(reader, exchange, newId) };
}
