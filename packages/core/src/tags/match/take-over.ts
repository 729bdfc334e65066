import type { Change } from '../../change/change.js';
import { put } from '../../change/make.js';
import type { End } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import { childrenOf, orderAfter } from '../../model/order.js';
import type { Project } from '../../model/project.js';
import type { Tag } from '../../model/tag.js';
import type { Binding } from '../../model/words.js';
import { bindChanges } from './bind.js';

/**
 * Tags of the station that is asked, taken over into the list of the one that asks, and bound: the same name and type, and
 * the same access, reading where nothing is said. A name that is there already is left: it is matched, not made twice.
 */
export function takeOverChanges(
  project: Project,
  exchange: Exchange,
  ends: readonly [asking: End, asked: End],
  by: Binding,
  theirs: readonly Tag[],
  newId: () => string,
): Change[] {
  const own = childrenOf(project, 'tag', ends[0].station);
  const taken = new Set(own.map(({ name }) => name.toLowerCase()));
  let order = orderAfter(own);
  const pairs = theirs
    .filter(({ name }) => !taken.has(name.toLowerCase()))
    .map((theirs) => {
      const { name, type, unit, scaling } = theirs;
      const mine: Tag = {
        id: newId(),
        order,
        station: ends[0].station,
        name,
        type,
        place: null,
        access: theirs.access ?? 'read',
        ...(unit ? { unit } : {}),
        ...(scaling ? { scaling } : {}),
      };
      order += 10;
      return { mine, theirs, place: null };
    });
  return [...pairs.map(({ mine }) => put('tag', mine)), ...bindChanges(project, exchange, ends, by, pairs, newId)];
}
