import { formatAddress } from '../../place/format-address.js';
import { memoryOf } from '../../place/memory.js';
import type { Change } from '../../change/change.js';
import { put } from '../../change/make.js';
import { elementary } from '../../data/types.js';
import { readable } from '../../model/as-typed.js';
import { IN_TAG, type Claim, type Length, type Place, type TypeRef } from '../../model/claim.js';
import type { End } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import { childrenOf, orderAfter } from '../../model/order.js';
import type { Project, Reader } from '../../model/project.js';
import type { Tag } from '../../model/tag.js';
import type { Binding, Direction } from '../../model/words.js';

/** A tag of the station that asks, and what it is bound to: a tag of the other, or an address there. */
export interface BoundPair {
  mine: Tag;
  theirs: Tag | null;
  place: Place | null;
}

const TURNED: Record<Direction, Direction> = { reads: 'writes', writes: 'reads', both: 'both' };

/** The changes that bind these: a lane each, with a claim of both ends that says what its own tag says. */
export function bindChanges(
  project: Project,
  exchange: Exchange,
  [asking, asked]: readonly [End, End],
  by: Binding,
  pairs: readonly BoundPair[],
  newId: () => string,
): Change[] {
  // What a simulator may set, it gives to the controller all the time; people set a value and see it.
  const simulates = project.get('station', asking.station)?.roles.includes('simulator') ?? false;
  let order = orderAfter(childrenOf(project, 'lane', exchange.id));
  return pairs.flatMap(({ mine, theirs, place }): Change[] => {
    const lane = newId();
    const direction: Direction = mine.access !== 'read and set' ? 'reads' : simulates ? 'writes' : 'both';
    const type = readable(mine.type) ?? readable(theirs?.type ?? null);
    const there = theirs ? { area: theirs.id, view: IN_TAG, number: 0 } : place;
    const claim = (end: End, rest: Partial<Claim>): Claim => ({
      id: newId(),
      lane,
      end: end.id,
      name: '',
      direction,
      place: null,
      swap: null,
      items: {},
      toldPlace: null,
      length: type ? lengthOf(type) : null,
      type,
      ...rest,
    });
    const theirType = readable(theirs?.type ?? null);
    const changes: Change[] = [
      put('lane', {
        id: lane,
        order,
        exchange: exchange.id,
        items: {},
        ...(by === (exchange.binding ?? 'by address') ? {} : { binding: by }),
      }),
      put(
        'claim',
        claim(asking, {
          name: mine.name,
          place: { area: mine.id, view: IN_TAG, number: 0 },
          toldPlace: toldOf(project, by, mine, theirs, place),
          ...(direction === 'both' ? { trigger: 'on change' as const } : {}),
        }),
      ),
      put(
        'claim',
        claim(asked, {
          name: theirs?.name ?? mine.name,
          direction: TURNED[direction],
          place: there,
          ...(theirType ? { type: theirType, length: lengthOf(theirType) } : {}),
        }),
      ),
    ];
    order += 10;
    return changes;
  });
}

/** Where names bind, its own name stands for both; else what it asks for, or the address that the other has. */
function toldOf(reader: Reader, by: Binding, mine: Tag, theirs: Tag | null, place: Place | null): string | null {
  if (by === 'by name') return null;
  if (mine.asks) return mine.asks;
  const at = place ?? readable(theirs?.place ?? null);
  const memory = at && memoryOf(reader, at.area);
  return at && memory ? formatAddress(memory, at) : null;
}

/** What a value takes: bits, bytes, or words of 16 bits. */
export function lengthOf(type: TypeRef): Length {
  const known = elementary(type.base);
  if (!known || known.family === 'text') {
    return { count: Math.max(1, type.capacity ?? 80) * type.count, unit: type.base === 'WSTRING' ? 16 : 8 };
  }
  if (known.bits === 1) return { count: type.count, unit: 1 };
  if (known.bits === 8) return { count: type.count, unit: 8 };
  return { count: (known.bits / 16) * type.count, unit: 16 };
}
