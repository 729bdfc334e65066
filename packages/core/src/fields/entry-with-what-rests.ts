import type { Change } from '../change/change.js';
import { set } from '../change/make.js';
import { isTyped } from '../model/as-typed.js';
import type { Area } from '../model/area.js';
import type { Place } from '../model/claim.js';
import type { EntityOf, Kind } from '../model/kinds.js';
import { inOrder } from '../model/order.js';
import type { Project } from '../model/project.js';
import { placeText } from '../place/place-text.js';
import type { RowRef } from './field.js';

/**
 * The changes that take an entry of a list out of its entity, with what rests on it: places that are written in a view stay
 * as they were typed, and steps of a start sequence no longer name a part of a block that goes.
 */
export function dropEntryWithWhatRests(project: Project, { kind, id, path }: RowRef): Change[] {
  const entity = project.get(kind, id);
  if (!entity) return [];
  const [list, key = '', members, member = ''] = path;
  const resting =
    kind !== 'area'
      ? []
      : list === 'views'
        ? unreadWithout(project, entity as Area, key)
        : list === 'reservations'
          ? withoutPart(project, id, key, members === 'members' ? member : null)
          : [];
  return [...resting, { ...set(kind, entity as EntityOf[Kind] & { id: string }, path, undefined) }];
}

/** Where places of an area stand. */
const PLACES = [
  ['claim', 'place'],
  ['tag', 'place'],
  ['copy', 'from'],
  ['copy', 'to'],
  ['landing', 'inputsAt'],
  ['landing', 'outputsAt'],
] as const;

function unreadWithout(project: Project, area: Area, view: string): Change[] {
  return PLACES.flatMap(([kind, field]) =>
    [...new Set(project.referrers(kind, area.id))].flatMap((id): Change[] => {
      const entity = project.get(kind, id) as (EntityOf[Kind] & Record<string, unknown>) | undefined;
      const place = entity?.[field] as Place | { typed: string } | null | undefined;
      if (!entity || !place || isTyped(place) || place.area !== area.id || place.view !== view) return [];
      return [set(kind, entity as never, [field], { typed: placeText(project, place) })];
    }),
  );
}

function withoutPart(project: Project, area: string, block: string, part: string | null): Change[] {
  const goes = (ref: string | undefined) => {
    const [of, reservation, member] = (ref ?? '').split(' ');
    return of === area && reservation === block && (part === null || member === part);
  };
  return inOrder(project, 'exchange').flatMap((exchange) =>
    Object.entries(exchange.start ?? {}).flatMap(([key, step]) => (goes(step.member) ? [set('exchange', exchange, ['start', key, 'member'], undefined)] : [])),
  );
}
