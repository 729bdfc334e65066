import type { Network } from '../model/network.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Route } from '../model/route.js';
import type { Station } from '../model/station.js';
import { TRAFFICS } from '../model/words.js';
import { linkConditions, throughConditions } from './conditions.js';
import { cpuOf, modulesOf, needsBackplane, programSlotOf } from '../rack/program-slot.js';
import { linkFailures, RouteFacts, throughFailures, type PortFacts } from './facts.js';
import { failures, type Condition, type RouteHop } from './hop.js';
import { pathsInOrder, type Step } from './k-best.js';
import { letThrough } from './passes.js';
import { linkAddress } from './link-address.js';
import { portsOf } from './ports-of.js';
import { hostOf } from '../wiring/host-of.js';

/** What a route is asked for. */
export type Asked = Pick<Route, 'from' | 'to' | 'port' | 'traffic'> & { slot?: number | null };

/** One way, with what must be true on it. */
export interface FoundRoute {
  hops: readonly RouteHop[];
  /** what does not hold, in the order of the hops */
  failures: readonly { hop: number; condition: Condition }[];
  cost: number;
}

/** The ways from one station to another, those on which all holds first; where none is, the nearest thing. */
export interface Routes {
  found: readonly FoundRoute[];
  /** of none: that on which the least is missing; null: nothing leads there at all */
  nearest: FoundRoute | null;
  /** why there is none, as a sentence; empty where there is one */
  why: string;
}

const COST = { network: 10, backplane: 2, unknown: 1, failure: 100_000 };
/** The way into a backplane, and out of the first port of a module or a station, as numbers. */
const BACKPLANE = 1;
const FIRST_PORT = 2;
const MOST_ROUTES = 5;
/** no text has more hops than that */
export const MOST_HOPS = 20;

const START = 'start';
const GOAL = 'goal';

/** A hop over a network, with what comes before it at the station that it leaves. */
interface Link {
  key: string;
  from: Port;
  to: Port;
  network: Network;
}

/**
 * The best ways from one station to another: least cost over networks, backplanes and what passes this traffic. Steps on
 * which something does not hold are not left out but dear, so that where there is no way the nearest one shows what stops
 * it. The search ends: no station is met twice.
 */
export function findRoutes(reader: Reader, asked: Asked, count = MOST_ROUTES): Routes {
  const [from, to] = [reader.get('station', asked.from), reader.get('station', asked.to)];
  if (!from || !to) return { found: [], nearest: null, why: 'one of the two stations is not there' };
  if (from.id === to.id) return { found: [], nearest: null, why: `${from.name} is where it begins` };
  if (hostOf(reader, from).id === hostOf(reader, to).id) return sameComputer(from, to);
  const links = new LinksOf(reader, asked, to);
  const found: FoundRoute[] = [];
  let nearest: FoundRoute | null = null;
  let tried = 0;
  for (const { nodes, cost } of pathsInOrder((node) => links.steps(node), START, GOAL)) {
    if (links.once(nodes)) {
      const route = routeAlong(reader, asked, to, links.along(nodes), cost);
      if (route.failures.length === 0) found.push(route);
      else nearest ??= route;
    }
    // What fails once is dearer than all that holds: after it comes nothing that holds, and the first such is the nearest.
    const over = cost >= COST.failure && (nearest !== null || found.length > 0);
    if (found.length === count || ++tried === count * 2 || over) break;
  }
  if (found.length > 0) return { found, nearest: null, why: '' };
  return { found, nearest, why: whyNone(reader, from, to, nearest) };
}

function sameComputer(from: Station, to: Station): Routes {
  const hop: RouteHop = {
    kind: 'same computer',
    from: from.id,
    to: to.id,
    fromPort: null,
    toPort: null,
    network: null,
    way: { number: 0, name: 'same computer' },
    address: '127.0.0.1',
    silent: false,
    conditions: [],
    lets: TRAFFICS,
  };
  return { found: [{ hops: [hop], failures: [], cost: 1 }], nearest: null, why: '' };
}

function whyNone(reader: Reader, from: Station, to: Station, nearest: FoundRoute | null): string {
  const first = nearest?.failures[0];
  if (!nearest || !first) {
    const attached = portsOf(reader, from).some((port) => port.network);
    return attached
      ? `no network leads from ${from.name} towards ${to.name}`
      : `${from.name} is not connected to a network`;
  }
  const hop = nearest.hops[first.hop]!;
  const reached = first.condition.code === 'ROU 3' || first.condition.code === 'HWS 8' ? hop.to : hop.from;
  const furthest = reader.get('station', reached)?.name ?? '';
  return `stops at ${furthest}: ${first.condition.found}`;
}

/** The links of a search, found as it goes. */
class LinksOf {
  private readonly links = new Map<string, Link>();
  private readonly known = new Map<string, Step<string>[]>();
  private readonly facts: RouteFacts;
  /** whether the target is a program that its host knows by a slot */
  private readonly bySlot: boolean;
  /** where the route ends: the ports of the station that is asked, or of the computer that it runs on */
  private readonly goals: ReadonlyMap<string, readonly PortFacts[]>;

  constructor(
    private readonly reader: Reader,
    private readonly asked: Asked,
    private readonly target: Station,
  ) {
    this.bySlot = programSlotOf(reader, target) !== undefined;
    this.facts = RouteFacts.of(reader);
    const goals = new Map<string, PortFacts[]>();
    for (const port of portsOf(reader, target)) {
      if (!port.network) continue;
      const list = goals.get(port.network) ?? [];
      list.push(this.facts.of(port));
      goals.set(port.network, list);
    }
    this.goals = goals;
  }

  steps(node: string): readonly Step<string>[] {
    let steps = this.known.get(node);
    if (!steps) this.known.set(node, (steps = node === START ? this.first() : this.next(this.links.get(node))));
    return steps;
  }

  along(nodes: readonly string[]): Link[] {
    return nodes.flatMap((node) => this.links.get(node) ?? []);
  }

  /** Whether no station is met twice. */
  once(nodes: readonly string[]): boolean {
    const met = [this.asked.from, ...this.along(nodes).map((link) => link.to.station)];
    return new Set(met).size === met.length;
  }

  private first(): Step<string>[] {
    const from = this.reader.get('station', this.asked.from)!;
    return portsOf(this.reader, from)
      .filter((port) => this.asked.port === null || port.id === this.asked.port)
      .map((port) => this.facts.of(port))
      .flatMap((port) => this.over(port, port.behind ? COST.backplane : 0, () => 0));
  }

  private next(link: Link | undefined): Step<string>[] {
    if (!link) return [];
    const { to, from, network } = link;
    const arrived = this.facts.of(to);
    if (this.goals.get(network.id)?.includes(arrived)) {
      const inRack = arrived.behind || (this.bySlot && to.station !== this.target.id);
      return [{ to: GOAL, cost: inRack ? COST.backplane : 0 }];
    }
    const { traffic } = this.asked;
    return this.facts
      .portsOfStation(to.station)
      .filter(({ port }) => port.id !== to.id && port.network !== network.id)
      .flatMap((leaving) =>
        this.over(leaving, 0, (next) => {
          const passing = this.facts.passing(to.station, network, leaving.network!, traffic);
          const ports = { before: from, arrived: to, leaving: leaving.port, next: next.port };
          const { failing, unknown } = throughFailures(this.reader, passing, ports, traffic);
          return failing * COST.failure + unknown * COST.unknown;
        }),
      );
  }

  /** Over the network of a port to whatever is the target or leads on. */
  private over(from: PortFacts, extra: number, through: (next: PortFacts) => number): Step<string>[] {
    const { network, port } = from;
    if (!network) return [];
    const goals = this.goals.get(network.id) ?? [];
    const others = [...goals, ...this.facts.leadingOn(network.id).filter((facts) => !goals.includes(facts))];
    return others
      .filter((other) => other.port.station !== port.station)
      .map((other) => {
        const key = `${port.id}>${other.port.id}`;
        if (!this.links.has(key)) this.links.set(key, { key, from: port, to: other.port, network });
        const failing = linkFailures(from, other, network.kind, this.asked.traffic);
        return { to: key, cost: COST.network + extra + through(other) + failing * COST.failure };
      });
  }
}

/** The hops of a way, numbered as they are walked. */
function routeAlong(reader: Reader, asked: Asked, to: Station, links: readonly Link[], cost: number): FoundRoute {
  const hops: RouteHop[] = [];
  links.forEach((link, i) => {
    const { from, network } = link;
    const before = links[i - 1];
    const module = from.module ? reader.get('module', from.module) : undefined;
    const crossed = before ? before.to.module !== from.module : true;
    if (module && crossed && needsBackplane(reader, from)) {
      hops.push(backplane(from.station, null, module.slot, [], from.id));
    }
    const next = links[i + 1];
    const station = reader.get('station', link.to.station);
    const through =
      next && station
        ? throughConditions(
            reader,
            station,
            { before: from, arrived: link.to, leaving: next.from, next: next.to },
            { from: network, to: next.network },
            asked.traffic,
          )
        : { conditions: [], silent: false };
    hops.push({
      kind: 'network',
      from: from.station,
      to: link.to.station,
      fromPort: from.id,
      toPort: link.to.id,
      network: network.id,
      way: { number: portNumber(reader, from), name: network.name },
      address: linkAddress(network, link.to),
      silent: through.silent,
      lets: letThrough(reader, link.to, next && station ? { station, from: network, to: next.network } : null),
      conditions: [...linkConditions(reader, network, from, link.to, asked.traffic), ...through.conditions],
    });
  });
  const last = links.at(-1);
  const program = last && last.to.station !== to.id ? programSlotOf(reader, to) : undefined;
  if (last && program !== undefined) {
    hops.push(backplane(last.to.station, last.to.id, program, [], null));
  } else if (last && needsBackplane(reader, last.to)) {
    const cpu = cpuOf(reader, to.id, asked.slot ?? null);
    const there = modulesOf(reader, to.id).find((m) => m.slot === asked.slot);
    const condition: Condition = {
      holds: cpu !== undefined,
      must: `${asked.slot === null || asked.slot === undefined ? 'the rack' : `slot ${asked.slot}`} of ${to.name} holds a CPU`,
      found: there ? `${there.name} is in it` : 'its rack holds none there',
      code: 'ROU 5',
      cell: null,
    };
    hops.push(backplane(to.id, last.to.id, cpu?.slot ?? asked.slot ?? null, [condition], null));
  }
  const failed = hops.flatMap((hop, i) => failures(hop).map((condition) => ({ hop: i, condition })));
  return { hops, failures: failed, cost };
}

/** Ports of one module, or of a station without one, are numbered in their order. [common practice] */
function portNumber(reader: Reader, port: Port): number {
  const beside = childrenOf(reader, 'port', port.station).filter(
    (one) => (one.module ?? null) === (port.module ?? null),
  );
  return (
    FIRST_PORT +
    Math.max(
      0,
      beside.findIndex(({ id }) => id === port.id),
    )
  );
}

const backplane = (
  station: string,
  fromPort: string | null,
  slot: number | null,
  conditions: Condition[],
  toPort: string | null,
): RouteHop => ({
  kind: 'backplane',
  from: station,
  to: station,
  fromPort,
  toPort,
  network: null,
  way: { number: BACKPLANE, name: 'rack' },
  address: slot === null ? '' : String(slot),
  silent: false,
  lets: TRAFFICS,
  conditions,
});
