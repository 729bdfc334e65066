import { contains, parseIpv4, parseMask, subnetOf, type Subnet } from '../wiring/ipv4.js';
import type { Network } from '../model/network.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Traffic } from '../model/words.js';
import { needsBackplane } from '../rack/program-slot.js';
import { linkAddress } from './link-address.js';
import { isService, passingOf, type Passing } from './passes.js';
import { tunnelConditions } from './tunnel.js';

/** What a search asks of a port again and again, read once. */
export interface PortFacts {
  port: Port;
  network: Network | null;
  hasAddress: boolean;
  /** of an Ethernet port whose address can be read */
  ip: { value: number; subnet: Subnet } | null;
  /** whether its station has a port on another network */
  leadsOn: boolean;
  /** whether the CPU is beyond a backplane from here */
  behind: boolean;
}

/**
 * The facts of a project that searches go by, each read when it is first asked for. Of a project that does not change they
 * are kept from one search to the next.
 */
export class RouteFacts {
  private readonly ports = new Map<string, PortFacts>();
  private readonly onNetwork = new Map<string, PortFacts[]>();
  private readonly ofStation = new Map<string, PortFacts[]>();
  private readonly passings = new Map<string, Passing>();

  private constructor(private readonly reader: Reader) {}

  private static readonly kept = new WeakMap<Reader, RouteFacts>();

  static of(reader: Reader): RouteFacts {
    if (!reader.fixed) return new RouteFacts(reader);
    let facts = this.kept.get(reader);
    if (!facts) this.kept.set(reader, (facts = new RouteFacts(reader)));
    return facts;
  }

  portsOfStation(station: string): PortFacts[] {
    let list = this.ofStation.get(station);
    if (!list) {
      list = childrenOf(this.reader, 'port', station).map((port) => this.of(port));
      this.ofStation.set(station, list);
    }
    return list;
  }

  /** The ports on a network from which a route may go on. */
  leadingOn(network: string): PortFacts[] {
    let list = this.onNetwork.get(network);
    if (!list) {
      const all = childrenOf(this.reader, 'port', network).map((port) => this.of(port));
      this.onNetwork.set(network, (list = all.filter((facts) => facts.leadsOn)));
    }
    return list;
  }

  passing(station: string, from: Network, to: Network, traffic: Traffic): Passing {
    const key = `${station} ${from.id} ${to.id} ${traffic}`;
    let passing = this.passings.get(key);
    if (!passing) {
      const whole = this.reader.get('station', station);
      passing = whole ? passingOf(this.reader, whole, traffic, from, to) : { passes: false, why: 'is gone' };
      this.passings.set(key, passing);
    }
    return passing;
  }

  of(port: Port): PortFacts {
    let facts = this.ports.get(port.id);
    if (facts?.port !== port) this.ports.set(port.id, (facts = this.read(port)));
    return facts;
  }

  private read(port: Port): PortFacts {
    const network = port.network ? (this.reader.get('network', port.network) ?? null) : null;
    const [address, mask] = [parseIpv4(port.address), parseMask(port.mask)];
    const readable = network?.kind === 'ethernet' && address.ok && mask.ok && address.value !== 0;
    return {
      port,
      network,
      behind: needsBackplane(this.reader, port),
      hasAddress: network !== null && linkAddress(network, port) !== '',
      ip: readable ? { value: address.value, subnet: subnetOf(address.value, mask.value) } : null,
      leadsOn: childrenOf(this.reader, 'port', port.station).some(
        (p) => p.network !== null && p.network !== port.network,
      ),
    };
  }
}

/** How many conditions of `linkConditions` do not hold, without their sentences. */
export function linkFailures(from: PortFacts, to: PortFacts, kind: Network['kind'], traffic: Traffic): number {
  let count = Number(!from.port.enabled) + Number(!to.port.enabled);
  if (kind !== 'direct cable') count += Number(!to.hasAddress) + Number(kind !== 'serial line' && !from.hasAddress);
  if (from.ip && to.ip && !(contains(from.ip.subnet, to.ip.value) && contains(to.ip.subnet, from.ip.value))) count++;
  const { takes } = to.port;
  return count + Number(!!takes && takes.length > 0 && !takes.includes(traffic));
}

/** The same of `throughConditions`: what is not passed, and gateways that an IP router is not; and what is not known. */
export function throughFailures(
  reader: Reader,
  passing: Passing,
  ports: { before: Port; arrived: Port; leaving: Port; next: Port },
  traffic: Traffic,
): { failing: number; unknown: number } {
  const tunnel = ports.arrived.tunnel !== undefined && isService(traffic);
  const [own] = tunnel ? tunnelConditions(reader, ports.arrived, ports.before) : [];
  const there = ofPassing(passing, ports);
  return {
    failing: there.failing + Number(own?.holds === false),
    unknown: there.unknown + Number(own?.holds === null),
  };
}

function ofPassing(
  passing: Passing,
  ports: { before: Port; arrived: Port; leaving: Port; next: Port },
): { failing: number; unknown: number } {
  if (passing.passes !== true)
    return { failing: Number(passing.passes === false), unknown: Number(passing.passes === null) };
  if (passing.why !== 'passes IP packets') return { failing: 0, unknown: 0 };
  const failing = Number(!isGateway(ports.before, ports.arrived)) + Number(!isGateway(ports.next, ports.leaving));
  return { failing, unknown: 0 };
}

/** Whether a port names the port of a router as its gateway. */
export const isGateway = (port: Port, router: Port): boolean =>
  port.gateway.trim() !== '' && port.gateway.trim() === router.address.trim();
