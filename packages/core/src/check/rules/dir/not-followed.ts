import { lanesMade } from '../../../exchange/made-lanes.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Lane } from '../../../model/lane.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';

/**
 * How many lanes of an exchange are not as what they follow from, and what that is; null where all are, or where they follow
 * from nothing. Outputs of a module with two owners are not asked for: whose they are is to be settled first.
 */
export function notFollowed(reader: Reader, exchange: Exchange): { from: string; count: number } | null {
  let n = 0;
  const made = lanesMade(reader, exchange, () => `fresh${n++}`);
  if (!made || childrenOf(reader, 'lane', exchange.id).length === 0) return null;
  const fresh = new Map(
    made.changes.flatMap((c) => (c.kind === 'lane' && c.after ? [[c.id, c.after as unknown as Lane] as const] : [])),
  );
  const lanes = new Set<string>();
  for (const change of made.changes) {
    if (change.kind !== 'lane' && change.kind !== 'claim') continue;
    const put = change.kind === 'claim' ? (change.after as { lane?: string } | undefined)?.lane : undefined;
    const lane = change.kind === 'lane' ? change.id : (reader.get('claim', change.id)?.lane ?? put ?? '');
    if (!contested(reader, fresh.get(lane)?.madeBy ?? '')) lanes.add(lane);
  }
  return lanes.size > 0 ? { from: made.from, count: lanes.size } : null;
}

/** `landing l1 outputs` of a module that two controllers claim as owners. */
function contested(reader: Reader, madeBy: string): boolean {
  const [, id = '', what] = madeBy.split(' ');
  const landing = what === 'outputs' ? reader.get('landing', id) : undefined;
  if (!landing) return false;
  return childrenOf(reader, 'landing', landing.module).filter((l) => l.role === 'owner').length > 1;
}
