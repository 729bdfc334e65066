import type { Exchange } from '../model/exchange.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Route } from '../model/route.js';
import { findRoutes } from './find-routes.js';
import { tagOf } from '../place/open-of.js';

/** An exchange that one of its ends has at a port, or that a coupler carries from there. */
export interface ExchangeThrough {
  exchange: Exchange;
  lanes: number;
  /** tags of other stations that its lanes are bound to */
  tags: number;
}

/** A route that goes by a port, and as which of its hops, from 1. */
export interface RouteThrough {
  route: Route;
  hop: number;
}

export interface Through {
  exchanges: readonly ExchangeThrough[];
  routes: readonly RouteThrough[];
}

/** Who goes through a port, and so is affected when it changes: exchanges with their tags, and routes by their best way. */
export function goesThrough(project: Project, port: Port): Through {
  const own = childrenOf(project, 'end', port.id).map((end) => end.exchange);
  const exchanges = [...new Set([...own, ...carried(project, port)])].flatMap((id): ExchangeThrough[] => {
    const exchange = project.get('exchange', id);
    return exchange
      ? [{ exchange, lanes: childrenOf(project, 'lane', id).length, tags: tagsOf(project, id, port) }]
      : [];
  });
  const routes = inOrder(project, 'route').flatMap((route): RouteThrough[] => {
    const { found, nearest } = findRoutes(project, route, 1);
    const hops = (found[0] ?? nearest)?.hops ?? [];
    const hop = hops.findIndex(({ fromPort, toPort }) => fromPort === port.id || toPort === port.id);
    return hop < 0 ? [] : [{ route, hop: hop + 1 }];
  });
  return { exchanges, routes };
}

/** Exchanges of which this is the port of their coupler on the side of one of their ends. */
function carried(project: Project, port: Port): string[] {
  const exchanges = project
    .referrers('exchange', port.station)
    .filter((id) => project.get('exchange', id)?.via === port.station);
  return exchanges.filter((id) =>
    childrenOf(project, 'end', id).some((end) => project.get('port', end.port ?? '')?.network === port.network),
  );
}

function tagsOf(project: Project, exchange: string, port: Port): number {
  const others = childrenOf(project, 'end', exchange).filter((end) => end.station !== port.station);
  const claims = others.flatMap((end) => childrenOf(project, 'claim', end.id));
  return new Set(claims.flatMap((claim) => tagOf(project, claim)?.id ?? [])).size;
}
