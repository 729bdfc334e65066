import { formatIpv4, parseIpv4, parseMask, subnetOf, type Ipv4 } from '../../../wiring/ipv4.js';
import { nextFreeHost } from '../../../wiring/special.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import { hostOf } from '../../../wiring/host-of.js';
import { addressesOf, readAddressesOf } from '../../../wiring/port-addresses.js';
import type { Rule } from '../../rule.js';

export const addressTwice: Rule = {
  meta: {
    code: 'ADR 1',
    title: 'An IP address stands once on a network',
    source: 'RFC 5227, IPv4 Address Conflict Detection',
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{network}: {a} and {b} both have {address}',
        says: ['{a} is at [[{address}]]', '{b} is at [[{address}]]'],
        consequence: 'Neither can be relied on to answer.',
        remedy: 'Give one of them a free address{free}.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const byAddress = new Map<Ipv4, Standing[]>();
      for (const port of childrenOf(reader, 'port', network.id)) {
        for (const { value, path } of readAddressesOf(port)) {
          byAddress.set(value, [...(byAddress.get(value) ?? []), { port, path }]);
        }
      }
      for (const [address, all] of byAddress) {
        const standing = withoutGuests(reader, all);
        if (standing.length < 2) continue;
        const ports = standing.map(({ port }) => port);
        const name = (port: Port) => reader.get('station', port.station)?.name ?? '';
        const free = nextFreeAddress(reader, network.id, ports[1]!);
        yield {
          message: 'twice',
          label: 'address twice',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: ports.map((port) => ({ station: port.station })),
          cells: standing.map(({ port, path }) => ({ kind: 'port', id: port.id, path })),
          params: {
            network: network.name,
            address: formatIpv4(address),
            a: name(ports[0]!),
            b: ports.slice(1).map(name).join(' and '),
            free: free === null ? '' : `, ${formatIpv4(free)} is free`,
          },
          subjects: [network.id, formatIpv4(address)],
        };
      }
    },
  },
  fixes(finding, reader) {
    return [...finding.cells].reverse().flatMap((cell) => {
      const port = reader.get('port', cell.id)!;
      const free = port.network ? nextFreeAddress(reader, port.network, port) : null;
      if (free === null) return [];
      const station = reader.get('station', port.station)!.name;
      const text = formatIpv4(free);
      const was = addressesOf(port).find(({ path }) => path.join() === cell.path.join())!.address;
      const changes = [set('port', port, cell.path, text), set('port', port, ['former'], [...port.former, was])];
      return [{ label: `${station}: ${was} → ${text}`, changes }];
    });
  },
};

/** A port that has the address, and where in it that stands. */
interface Standing {
  port: Port;
  path: readonly string[];
}

/** Without those of programs on a computer that has the address itself, or for another program: it is one and the same. */
function withoutGuests(reader: Reader, all: readonly Standing[]): Standing[] {
  const computers = new Set<string>();
  const hostId = ({ port }: Standing) => {
    const station = reader.get('station', port.station);
    return station ? hostOf(reader, station).id : port.station;
  };
  const own = all.filter((one) => hostId(one) === one.port.station);
  for (const one of own) computers.add(one.port.station);
  return all.filter((one) => {
    if (own.includes(one)) return true;
    const first = !computers.has(hostId(one));
    computers.add(hostId(one));
    return first;
  });
}

/** The next address after a port's own that nobody on the network has, inside its subnet. */
export function nextFreeAddress(reader: Reader, network: string, port: Port): Ipv4 | null {
  const own = parseIpv4(port.address);
  const mask = parseMask(port.mask);
  if (!own.ok || !mask.ok) return null;
  const subnet = subnetOf(own.value, mask.value);
  const taken = new Set<Ipv4>();
  for (const other of childrenOf(reader, 'port', network)) {
    for (const { value } of readAddressesOf(other)) taken.add(value);
  }
  return nextFreeHost(subnet, taken, own.value + 1);
}
