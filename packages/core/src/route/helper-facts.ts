import { formatSubnet, overlaps, parseSubnet, type Subnet } from '../wiring/ipv4.js';
import type { Network } from '../model/network.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Route } from '../model/route.js';
import { findRoutes, type FoundRoute } from './find-routes.js';
import { helperOn, type WantedHelper } from './helpers.js';
import { reachOf, throughWords } from './reach.js';

/** A network that comes along when a station is drawn into a project, and what it meets there. */
export interface Brought {
  network: Network;
  /** a network of that project with addresses in common; null: none */
  meets: Network | null;
}

/** Another way to get the work done, and when it is the right one. */
export interface Alternative {
  what: string;
  when: string;
  /** what is missing for it; empty: it can be taken as it is */
  missing: string;
}

const subnetOfNetwork = ({ kind, subnet }: Network): Subnet | null => {
  const read = kind === 'ethernet' && subnet ? parseSubnet(subnet) : null;
  return read?.ok ? read.value : null;
};

/** The other networks of what is drawn in: a tool that knows a router knows them, too, with their addresses. */
export function broughtAlong(reader: Reader, { station, standsFor, network }: WantedHelper): Brought[] {
  const networksOf = (id: string): Network[] =>
    childrenOf(reader, 'port', id).flatMap((port) => reader.get('network', port.network ?? '') ?? []);
  const own = networksOf(station);
  return networksOf(standsFor)
    .filter(({ id }) => id !== network)
    .map((brought) => {
      const subnet = subnetOfNetwork(brought);
      const meets = own.find((other) => {
        const there = subnetOfNetwork(other);
        return other.id !== brought.id && subnet && there && overlaps(subnet, there);
      });
      return { network: brought, meets: meets ?? null };
    });
}

export const networkWords = (network: Network): string => {
  const subnet = subnetOfNetwork(network);
  return subnet ? `${network.name}, ${formatSubnet(subnet)}` : network.name;
};

/**
 * The stations that have to be loaded because of a way: those to which it gives a gateway, for that is a setting of the
 * device. What is only drawn in is read by the tool alone, whatever it says of a difference. [common practice]
 */
export function toBeLoaded(reader: Reader, { hops }: FoundRoute): string[] {
  const silent = hops.filter((hop) => hop.silent);
  const gateways = silent.flatMap((hop) => hop.conditions.filter(({ cell }) => cell?.path[0] === 'gateway'));
  const stations = gateways.flatMap(({ cell }) => reader.get('port', cell!.id)?.station ?? []);
  return [...new Set(stations)].filter((id) => !reader.get('station', id)?.roles.includes('workstation'));
}

/** What else would do instead of drawing something in, and when it is right. */
export function alternativesTo(reader: Reader, route: Route, wanted: WantedHelper): Alternative[] {
  const name = (id: string) => reader.get('station', id)?.name ?? '';
  const network = reader.get('network', wanted.network);
  const there = childrenOf(reader, 'port', route.from).some((port) => port.network === wanted.network);
  const direct: Alternative = {
    what: `attach ${name(route.from)} to ${network?.name ?? ''} itself`,
    when: 'for a single visit, or while the way through is down',
    missing: there ? '' : `${name(route.from)} has no port on ${network?.name ?? ''}`,
  };
  const others = findRoutes(reader, route)
    .found.filter((way) => helperOn(reader, route, way) === null)
    .map((way) => ({ what: `go ${throughWords(reader, way)}`, when: 'at any time: nothing is added', missing: '' }));
  const asRequests = reachOf(reader, { from: route.from, to: route.to, traffic: 'requests' });
  const looking: Alternative = {
    what: 'ask for the values as a program does',
    when: 'where looking at values is enough, and nothing is changed',
    missing: asRequests.reaches ? '' : asRequests.why,
  };
  const stay: Alternative = {
    what: `leave ${name(wanted.standsFor)} in for good`,
    when: 'where visits are regular, and all who open that project know why it is there',
    missing: '',
  };
  return [direct, ...others, ...(route.traffic === 'looking on' ? [looking] : []), stay];
}
