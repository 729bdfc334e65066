import type { Cell } from '../finding/finding.js';
import { sharedSpan } from '../lane/occupancy.js';
import { sideOf } from '../lane/side.js';
import { useOf } from '../lane/uses.js';
import { usesOfArea } from '../lane/uses-of-area.js';
import { userOf } from '../lane/use-words.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { follow } from './follow.js';

/** Something that an edit of a claim reaches. */
export interface Affected {
  station: string;
  /** why: it is the other end of the lane, it lies on the way, it uses the same bits, it has to be sent again */
  why: string;
  what: string;
  cell: Cell;
}

/**
 * Whom an edit of a claim reaches: the other ends of its lane, all that its data comes from or goes on to, whatever else
 * uses the same bits of its memory, and the values that were sent into a device and then have to be sent again.
 */
export function affectedBy(project: Project, claimId: string): Affected[] {
  const claim = project.get('claim', claimId);
  const lane = claim && project.get('lane', claim.lane);
  const exchange = lane && project.get('exchange', lane.exchange);
  const side = claim && exchange ? sideOf(project, claim, exchange) : null;
  if (!claim || !lane || !exchange || !side) return [];
  const found: Affected[] = [];
  const seen = new Set([claimId]);
  const add = (id: string, one: Affected) => {
    if (!seen.has(id)) found.push(one);
    seen.add(id);
  };
  for (const other of childrenOf(project, 'claim', lane.id)) {
    const station = project.get('end', other.end)?.station ?? '';
    const cell: Cell = { kind: 'claim', id: other.id, path: ['place'] };
    add(other.id, { station, why: 'other end of the lane', what: other.name || exchange.name, cell });
  }
  for (const way of ['forward', 'back'] as const) {
    for (const hop of follow(project, claimId, null, way)) {
      const why = way === 'forward' ? 'its data goes there' : 'its data comes from there';
      const cell: Cell = { ...hop.holder, path: [hop.holder.kind === 'copy' ? 'to' : 'place'] };
      add(hop.holder.id, { station: hop.station, why, what: `${hop.name}, ${hop.by}`, cell });
    }
  }
  const own = useOf(side);
  for (const use of own ? usesOfArea(project, own.area) : []) {
    const user = own && use.id !== own.id && sharedSpan(use, own) ? userOf(project, use) : null;
    if (!user) continue;
    add(user.id, {
      station: side.station.id,
      why: 'uses the same place',
      what: `${user.group}, ${user.name}`,
      cell: user.cell,
    });
  }
  for (const setting of childrenOf(project, 'setting', side.station.id)) {
    if (setting.field !== `end ${claim.end}` || setting.state === 'not sent') continue;
    const cell: Cell = { kind: 'setting', id: setting.id, path: ['state'] };
    add(setting.id, { station: side.station.id, why: 'was sent, and is to be sent again', what: exchange.name, cell });
  }
  return found;
}
