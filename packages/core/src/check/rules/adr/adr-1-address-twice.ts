import { formatIpv4, parseIpv4, parseMask, subnetOf, type Ipv4 } from '../../../address/ipv4.js';
import { nextFreeHost } from '../../../address/special.js';
import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import type { Rule } from '../../rule.js';

export const addressTwice: Rule = {
  meta: {
    code: 'ADR 1',
    title: 'An IP address stands once on a network',
    source: 'RFC 5227, IPv4 Address Conflict Detection',
    messages: {
      twice: {
        severity: 'blocker',
        headline: '{network}: {address} twice, {a} and {b}',
        says: ['{a} is at [[{address}]]', '{b} is at [[{address}]]'],
        consequence: 'Neither can be relied on to answer.',
        remedy: 'Give one of them a free address{free}.',
      },
    },
  },
  on: {
    *network(network, { reader }) {
      if (network.kind !== 'ethernet') return;
      const byAddress = new Map<Ipv4, Port[]>();
      for (const port of childrenOf(reader, 'port', network.id)) {
        const address = parseIpv4(port.address);
        if (!address.ok || address.value === 0) continue;
        byAddress.set(address.value, [...(byAddress.get(address.value) ?? []), port]);
      }
      for (const [address, ports] of byAddress) {
        if (ports.length < 2) continue;
        const name = (port: Port) => reader.get('station', port.station)?.name ?? '';
        const free = nextFreeAddress(reader, network.id, ports[1]!);
        yield {
          message: 'twice',
          label: 'address twice',
          about: { kind: 'network', id: network.id, name: network.name },
          parties: ports.map((port) => ({ station: port.station })),
          cells: ports.map((port) => ({ kind: 'port', id: port.id, path: ['address'] })),
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
      const changes = [
        set('port', port, ['address'], text),
        set('port', port, ['former'], [...port.former, port.address]),
      ];
      return [{ label: `${station}: ${port.address} → ${text}`, changes }];
    });
  },
};

/** The next address after a port's own that nobody on the network has, inside its subnet. */
export function nextFreeAddress(reader: Reader, network: string, port: Port): Ipv4 | null {
  const own = parseIpv4(port.address);
  const mask = parseMask(port.mask);
  if (!own.ok || !mask.ok) return null;
  const subnet = subnetOf(own.value, mask.value);
  const taken = new Set<Ipv4>();
  for (const other of childrenOf(reader, 'port', network)) {
    const address = parseIpv4(other.address);
    if (address.ok) taken.add(address.value);
  }
  return nextFreeHost(subnet, taken, own.value + 1);
}
