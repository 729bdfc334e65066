import { findRoutes, throughWords, type Project, type Route } from '@dialoga/core';

/** `over Plant LAN, through BusBridge, over Defrost bus`, or why there is no way. */
export function wayWords(project: Project, route: Route): { text: string; none: boolean } {
  const { found, why } = findRoutes(project, route, 1);
  return found[0] ? { text: throughWords(project, found[0]), none: false } : { text: `none: ${why}`, none: true };
}
