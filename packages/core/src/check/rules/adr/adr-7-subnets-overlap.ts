import { formatSubnet, overlaps } from '../../../wiring/ipv4.js';
import { childrenOf } from '../../../model/order.js';
import { readAddressesOf, isOnEthernet } from '../../../wiring/port-addresses.js';
import { portCell } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const subnetsOverlap: Rule = {
  meta: {
    code: 'ADR 7',
    title: 'Two ports of one station are in subnets that do not overlap',
    source: 'RFC 1122, 3.3.4.2: a host with several addresses chooses the interface by the destination’s subnet',
    messages: {
      overlap: {
        severity: 'doubt',
        headline: '{a}: {first} is in {firstSubnet}, {second} in {secondSubnet}, which overlap',
        says: ['{first} is in {firstSubnet}, {second} in [[{secondSubnet}]]'],
        consequence: 'What is meant for one network may leave through the other port.',
        remedy: 'Give {second} an address and a mask whose subnet does not overlap {firstSubnet}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      if (station.roles.includes('coupler')) return;
      const ports = childrenOf(reader, 'port', station.id).filter((p) => p.enabled && isOnEthernet(reader, p));
      for (const [i, second] of ports.entries()) {
        for (const first of ports.slice(0, i)) {
          const pair = readAddressesOf(first)
            .flatMap((a) => readAddressesOf(second).map((b) => [a, b] as const))
            .find(([a, b]) => a.subnet && b.subnet && overlaps(a.subnet, b.subnet));
          if (!pair) continue;
          yield {
            message: 'overlap',
            label: 'subnets overlap',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [portCell(second, ...pair[1].path), portCell(first, ...pair[0].path)],
            params: {
              a: station.name,
              first: first.name || 'one port',
              second: second.name || 'another port',
              firstSubnet: formatSubnet(pair[0].subnet!),
              secondSubnet: formatSubnet(pair[1].subnet!),
            },
            subjects: [first.id, second.id],
          };
        }
      }
    },
  },
};
