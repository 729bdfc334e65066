import { lengthBits } from '../place/length.js';
import { put, set } from '../change/make.js';
import type { Change } from '../change/change.js';
import { readable } from '../model/as-typed.js';
import { IN_TAG } from '../model/claim.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Project } from '../model/project.js';
import type { Tag } from '../model/tag.js';

/** What the elements of a connection are declared as, by their width. */
const ELEMENT_TYPES = { 8: 'SINT', 16: 'INT', 32: 'DINT' } as const;

/** A name that a tag may have, from what the connection is called. */
export const connectionName = (exchange: Exchange, end: End): string =>
  (end.references?.connection?.trim() || exchange.name).replace(/[^A-Za-z0-9_]+/g, '_').replace(/^_+|_+$/g, '') ||
  'Connection';

/**
 * The array tags that a generic connection creates at its caller: one for each block, of elements of the connection's
 * width, named after the connection. Blocks without a place are bound to theirs. Tags that are there already follow the
 * connection's name; those whose block is gone stay, for something may be bound to them.
 */
export function connectionTags(project: Project, exchange: Exchange, end: End, newId: () => string): Change[] {
  const name = connectionName(exchange, end);
  const known = new Map(childrenOf(project, 'tag', end.station).map((tag) => [tag.madeBy ?? '', tag]));
  let order = orderAfter(childrenOf(project, 'tag', end.station));
  const used = { reads: 0, writes: 0 };
  const changes: Change[] = [];
  for (const lane of childrenOf(project, 'lane', exchange.id)) {
    const claim = childrenOf(project, 'claim', lane.id).find((c) => c.end === end.id);
    const length = claim && readable(claim.length);
    const direction = claim && readable(claim.direction);
    if (!claim || !length || (direction !== 'reads' && direction !== 'writes')) continue;
    used[direction] += 1;
    const suffix = `${direction === 'reads' ? 'In' : 'Out'}${used[direction] === 1 ? '' : used[direction]}`;
    const wanted = `${name}_${suffix}`;
    const bits = end.elementBits ?? 8;
    const type = { base: ELEMENT_TYPES[bits], count: Math.ceil(lengthBits(length) / bits) };
    const madeBy = `end ${end.id} ${lane.id}`;
    const tag = known.get(madeBy);
    if (tag) {
      if (tag.name !== wanted) changes.push(set('tag', tag, ['name'], wanted));
      const old = readable(tag.type);
      if (old?.base !== type.base || old.count !== type.count) changes.push(set('tag', tag, ['type'], type));
      continue;
    }
    const fresh: Tag = { id: newId(), order, station: end.station, name: wanted, type, place: null, madeBy };
    order += 10;
    changes.push(put('tag', fresh));
    if (claim.place === null) {
      changes.push(set('claim', claim, ['place'], { area: fresh.id, view: IN_TAG, number: 0 }));
    }
  }
  return changes;
}
