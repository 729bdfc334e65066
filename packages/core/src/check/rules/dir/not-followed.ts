import type { Cell } from '../../../finding/finding.js';
import { isInRack } from '../../../rack/slots.js';
import { lanesMade } from '../../../exchange/made-lanes.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Lane } from '../../../model/lane.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';

/** How many lanes, what they follow from, and the cells that are not as that says. */
export interface NotFollowed {
  from: string;
  count: number;
  cells: readonly Cell[];
}

/**
 * How many lanes of an exchange are not as what they follow from, and what that is; null where all are, or where they follow
 * from nothing. Outputs of a module with two owners are not asked for: whose they are is to be settled first.
 */
export function notFollowed(reader: Reader, exchange: Exchange): NotFollowed | null {
  let n = 0;
  const made = lanesMade(reader, exchange, () => `fresh${n++}`);
  if (!made || childrenOf(reader, 'lane', exchange.id).length === 0) return null;
  const fresh = new Map(
    made.changes.flatMap((c) => (c.kind === 'lane' && c.after ? [[c.id, c.after as unknown as Lane] as const] : [])),
  );
  const lanes = new Set<string>();
  const cells: Cell[] = [];
  for (const change of made.changes) {
    if (change.kind !== 'lane' && change.kind !== 'claim') continue;
    const put = change.kind === 'claim' ? (change.after as { lane?: string } | undefined)?.lane : undefined;
    const lane = change.kind === 'lane' ? change.id : (reader.get('claim', change.id)?.lane ?? put ?? '');
    const madeBy = fresh.get(lane)?.madeBy ?? reader.get('lane', lane)?.madeBy ?? '';
    if (contested(reader, madeBy) || slotsInDoubt(reader, madeBy)) continue;
    lanes.add(lane);
    if (change.path.length > 0) cells.push({ kind: change.kind, id: change.id, path: change.path });
    cells.push(...madeByCells(madeBy));
  }
  return lanes.size > 0 ? { from: made.from, count: lanes.size, cells } : null;
}

/** What a lane follows from: the bytes and the place of a landing, or a dial. */
function madeByCells(madeBy: string): Cell[] {
  const [by, id = '', what = ''] = madeBy.split(' ');
  if (by === 'dial') return [{ kind: 'module', id, path: ['dial'] }];
  return by === 'landing' ? [what, `${what}At`].map((field) => ({ kind: 'landing', id, path: [field] })) : [];
}

/** Where a module lies in its head’s image follows from the slots before it: two in one slot, or outside, come first. */
function slotsInDoubt(reader: Reader, madeBy: string): boolean {
  const [by, id = ''] = madeBy.split(' ');
  const module = by === 'landing' ? reader.get('landing', id)?.module : by === 'dial' ? id : undefined;
  const rack = module && reader.get('rack', reader.get('module', module)?.rack ?? '');
  const slots = rack ? childrenOf(reader, 'module', rack.id).flatMap(({ slot }) => slot ?? []) : [];
  return rack ? new Set(slots).size < slots.length || slots.some((slot) => !isInRack(rack, slot)) : false;
}

/** `landing l1 outputs` of a module that two controllers claim as owners. */
function contested(reader: Reader, madeBy: string): boolean {
  const [, id = '', what] = madeBy.split(' ');
  const landing = what === 'outputs' ? reader.get('landing', id) : undefined;
  if (!landing) return false;
  return childrenOf(reader, 'landing', landing.module).filter((l) => l.role === 'owner').length > 1;
}
