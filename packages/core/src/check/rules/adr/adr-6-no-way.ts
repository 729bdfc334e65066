import { contains, formatSubnet, parseIpv4, type Subnet } from '../../../wiring/ipv4.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import { findRoutes } from '../../../route/find-routes.js';
import { trafficOf } from '../../../route/passes.js';
import { hostOf, onOneComputer } from '../../../wiring/host-of.js';
import { readAddressesOf } from '../../../wiring/port-addresses.js';
import type { Rule } from '../../rule.js';

export const noWayBetween: Rule = {
  meta: {
    code: 'ADR 6',
    title: 'Ends in different subnets have something between them that routes',
    source: 'RFC 1122, 3.3.1: a host sends to its own network directly, and else through a gateway',
    yieldsAtCell: ['ADR 2', 'ADR 3 outsideNetwork', 'ADR 3 noHost', 'ADR 5'],
    messages: {
      apart: {
        severity: 'blocker',
        headline: '{exchange}: {a} is in {aSubnet}, {b} in {bSubnet}, and nothing routes between them',
        says: ['{a} is at {aAddress} in [[{aSubnet}]]', '{b} is at {bAddress} in [[{bSubnet}]]'],
        consequence: 'No packet of one ever reaches the other.',
        remedy: 'Put both in one subnet, or name a gateway at both ends and the router that it stands for.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const ends = childrenOf(reader, 'end', exchange.id);
      for (const [i, a] of ends.entries()) {
        for (const b of ends.slice(i + 1)) {
          if (exchange.via ? joins(reader, exchange.via, a, b) : exchange.kind === 'coupler area') continue;
          // Where a port is on no network LIN 7 asks for it.
          if ([a, b].some((end) => end.port && reader.get('port', end.port)?.network === null)) continue;
          // Two that are both called need not reach each other.
          if (a.calling === 'listens' && b.calling === 'listens' && ends.length > 2) continue;
          if (onOneComputer(reader, a.station, b.station)) continue;
          const [froms, tos] = [attachmentsOf(reader, a), attachmentsOf(reader, b)];
          const [first, second] = [froms[0], tos[0]];
          if (!first || !second) continue;
          const reach = froms.some((from) => tos.some((to) => meets(from, to) || routed(reader, from, to)));
          const { port: from, subnet: here } = first;
          const { port: to, subnet: there } = second;
          if (reach || froms.some((f) => tos.some((t) => leadsThere(reader, exchange, f.port, t.port)))) continue;
          const name = (id: string) => reader.get('station', id)?.name ?? '';
          yield {
            message: 'apart',
            label: 'no way between',
            about: { kind: 'exchange', id: exchange.id, name: exchange.name },
            parties: [
              { station: a.station, end: a.id },
              { station: b.station, end: b.id },
            ],
            cells: [
              { kind: 'port', id: from.id, path: first.path },
              { kind: 'port', id: to.id, path: second.path },
              ...[from, to].map((port) => ({ kind: 'port' as const, id: port.id, path: ['gateway'] })),
            ],
            params: {
              exchange: exchange.name,
              a: name(a.station),
              b: name(b.station),
              aSubnet: formatSubnet(here),
              bSubnet: formatSubnet(there),
              aAddress: first.address,
              bAddress: second.address,
            },
            subjects: [exchange.id, a.id, b.id],
          };
        }
      }
    },
  },
};

/** A coupler has a port on the network of each: for its own area that is enough. */
function joins(reader: Reader, via: string, a: End, b: End): boolean {
  const networks = childrenOf(reader, 'port', via).map((p) => p.network);
  return [a, b].every((end) => networks.includes((end.port && reader.get('port', end.port)?.network) || null));
}

/** One of the addresses by which an end can be reached, with the subnet that it is in. */
interface Attachment {
  port: Port;
  subnet: Subnet;
  address: string;
  path: readonly string[];
}

/** Every address of the port of an end; of a program that runs on another station all those of its host, too. */
function attachmentsOf(reader: Reader, end: End): Attachment[] {
  const own = end.port ? reader.get('port', end.port) : undefined;
  const station = reader.get('station', end.station);
  const host = station && hostOf(reader, station);
  const lent = host && host.id !== end.station ? childrenOf(reader, 'port', host.id) : [];
  return [...(own ? [own] : []), ...lent].flatMap((port) =>
    readAddressesOf(port).flatMap(({ subnet, address, path }) => (subnet ? [{ port, subnet, address, path }] : [])),
  );
}

const meets = ({ subnet: a }: Attachment, { subnet: b }: Attachment) =>
  a.network === b.network && a.prefix === b.prefix;

/** A way through several stations, on which everything holds and nothing is unknown. */
function leadsThere(reader: Reader, exchange: Exchange, from: Port, to: Port): boolean {
  const asked = { from: from.station, to: to.station, port: from.id, traffic: trafficOf(exchange) };
  return findRoutes(reader, asked).found.some(
    ({ hops }) =>
      hops.some(({ toPort }) => toPort === to.id) &&
      hops.every(({ conditions }) => conditions.every(({ holds }) => holds === true)),
  );
}

/** One router whose ports are the gateways of both ends. */
function routed(reader: Reader, from: Attachment, to: Attachment): boolean {
  const stationsAt = ({ port, subnet }: Attachment): string[] => {
    const gateway = parseIpv4(port.gateway);
    if (!gateway.ok || !contains(subnet, gateway.value) || !port.network) return [];
    return childrenOf(reader, 'port', port.network)
      .filter((p) => p.id !== port.id && p.address.trim() === port.gateway.trim())
      .map((p) => p.station)
      .filter((id) => reader.get('station', id)?.roles.includes('router'));
  };
  const back = new Set(stationsAt(to));
  return stationsAt(from).some((station) => back.has(station));
}
