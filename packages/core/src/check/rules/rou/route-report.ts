import { shownWord } from '../../../text/shown-word.js';
import type { Reader } from '../../../model/project.js';
import type { Route } from '../../../model/route.js';
import { findRoutes, type FoundRoute } from '../../../route/find-routes.js';
import type { Condition } from '../../../route/hop.js';
import type { Cell } from '../../../finding/finding.js';
import type { Report } from '../../rule.js';

/** `ControlRoom → PlantCtl` */
export function routeName(reader: Reader, { from, to }: Pick<Route, 'from' | 'to'>): string {
  const name = (id: string) => reader.get('station', id)?.name ?? '';
  return `${name(from)} → ${name(to)}`;
}

/** What every finding about a route has; `cell` is where it shows. */
export function routeReport(
  reader: Reader,
  route: Route,
  message: string,
  label: string,
  params: Record<string, string>,
  cell?: Cell | null,
): Report {
  const shown: Cell = { kind: 'route', id: route.id, path: ['stated'] };
  return {
    message,
    label,
    about: { kind: 'route', id: route.id, name: routeName(reader, route) },
    parties: [{ station: route.from }, { station: route.to }],
    cells: cell ? [shown, cell] : [shown],
    params: {
      route: routeName(reader, route),
      traffic: shownWord(route.traffic),
      a: reader.get('station', route.from)?.name ?? '',
      b: reader.get('station', route.to)?.name ?? '',
      ...params,
    },
    subjects: [route.id],
  };
}

/** What stops the nearest way of a route that has none: the first condition that does not hold, with its hop from 1. */
export function stopOf(
  reader: Reader,
  route: Route,
): { why: string; first: { hop: number; condition: Condition } | null; nearest: FoundRoute | null } | null {
  const { found, nearest, why } = findRoutes(reader, route, 1);
  return found.length > 0 ? null : { why, nearest, first: nearest?.failures[0] ?? null };
}

/** Whether the first thing that stops a route falls under another rule than ROU 1. */
export function hasOwnRule(route: Route, condition: Condition | undefined): boolean {
  if (!condition) return false;
  // Of a text that was typed the station that does not pass it is named at its hop; without one there is just no way.
  return condition.code === 'ROU 3' ? route.stated.trim() !== '' || condition.cell?.path[0] === 'takes' : true;
}
