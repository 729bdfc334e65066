import type { HelperObject } from '../model/helper-object.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Route } from '../model/route.js';
import { findRoutes, type FoundRoute } from './find-routes.js';
import { isService } from './passes.js';

/** What has to be drawn into a station's own project for a route, and how. */
export interface WantedHelper {
  /** in whose project */
  station: string;
  standsFor: string;
  drawnAs: string;
  /** its address on the network that the two have in common */
  address: string;
  network: string;
  /** the one that is planned or was found; null: none is */
  known: HelperObject | null;
}

/**
 * What an engineer's tool does goes only through what the far station's own project knows: a router on the way is drawn into
 * it as something that the tool has a name for. Requests of programs need no such thing.
 */
export function wantedHelpers(reader: Reader, route: Route): WantedHelper[] {
  const [way] = isService(route.traffic) ? findRoutes(reader, route, 1).found : [];
  const wanted = way ? helperOn(reader, route, way) : null;
  return wanted ? [wanted] : [];
}

/** What has to be drawn in for this way; null: nothing. */
export function helperOn(reader: Reader, route: Route, { hops }: FoundRoute): WantedHelper | null {
  const last = hops.filter((hop) => hop.kind === 'network').at(-1);
  if (!last || last.from === route.from || last.silent) return null;
  const router = reader.get('station', last.from);
  const port = last.fromPort ? reader.get('port', last.fromPort) : undefined;
  const network = last.network ? reader.get('network', last.network) : undefined;
  if (!router || !port || !network || !router.roles.includes('router')) return null;
  const address = network.kind === 'ethernet' ? port.address.trim() : (port.node?.trim() ?? '');
  const known =
    childrenOf(reader, 'helper', route.id).find((h) => h.station === route.to && h.standsFor === router.id) ?? null;
  return { station: route.to, standsFor: router.id, drawnAs: 'router', address, network: network.id, known };
}
