import type { Project } from '../model/project.js';
import { findRoutes } from './find-routes.js';
import { expectationHolds, throughWords } from './reach.js';

/** How a route that is kept goes, in words; or why there is no way. */
export interface WayWords {
  text: string;
  none: boolean;
}

/** Whether an expectation holds, through what or what stops it, and whether the other reaches back. */
export interface ReachWords {
  holds: boolean;
  why: string;
  back: string;
}

/** All ways that the step Routes shows, by the ids of routes and expectations. */
export interface Ways {
  routes: Record<string, WayWords>;
  reach: Record<string, ReachWords>;
}

export function waysOf(project: Project): Ways {
  const ways: Ways = { routes: {}, reach: {} };
  for (const route of project.all('route')) {
    const { found, why } = findRoutes(project, route, 1);
    const [way] = found;
    ways.routes[route.id] = way
      ? { text: throughWords(project, way), none: false }
      : { text: `none: ${why}`, none: true };
  }
  for (const expected of project.all('expectation')) ways.reach[expected.id] = expectationHolds(project, expected);
  return ways;
}
