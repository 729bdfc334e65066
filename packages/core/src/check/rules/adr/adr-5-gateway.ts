import { contains, formatSubnet, parseIpv4, parseMask, subnetOf } from '../../../wiring/ipv4.js';
import { specialAddress } from '../../../wiring/special.js';
import { childrenOf } from '../../../model/order.js';
import { isOnEthernet } from '../../../wiring/port-addresses.js';
import type { Report, Rule } from '../../rule.js';

export const gatewayOutside: Rule = {
  meta: {
    code: 'ADR 5',
    title: 'A default gateway is another device in one’s own subnet',
    source: 'RFC 1122, 3.3.1: the first gateway is on a directly connected network',
    yieldsAtCell: ['ADR 1', 'ADR 3 outsideNetwork', 'ADR 3 noHost'],
    messages: {
      outside: {
        severity: 'blocker',
        headline: '{a}, {port}: the gateway {gateway} is outside {subnet}',
        says: ['{port}: gateway [[{gateway}]] is not in {subnet}'],
        consequence: 'The gateway cannot be reached, so nothing beyond the subnet can.',
        remedy: 'Choose a gateway inside {subnet}, or leave it empty for none.',
      },
      noHost: {
        severity: 'blocker',
        headline: '{a}, {port}: the gateway {gateway} is {what} of {subnet}',
        says: ['{port}: gateway [[{gateway}]] is {what} of {subnet}'],
        consequence: 'No device has that address, so nothing beyond the subnet can be reached.',
        remedy: 'Type the address of the router, or leave it empty for none.',
      },
      itself: {
        severity: 'blocker',
        headline: '{a}, {port}: the gateway {gateway} is its own address',
        says: ['{port}: gateway [[{gateway}]] is its own address'],
        consequence: 'Packets to other subnets are lost.',
        remedy: 'Type the address of the router, or leave it empty for none.',
      },
    },
  },
  on: {
    *station(station, { reader }): Generator<Report> {
      for (const port of childrenOf(reader, 'port', station.id)) {
        if (!isOnEthernet(reader, port)) continue;
        const address = parseIpv4(port.address);
        const mask = parseMask(port.mask);
        const gateway = parseIpv4(port.gateway);
        // 0.0.0.0 means none.
        if (!address.ok || address.value === 0 || !mask.ok || !gateway.ok || gateway.value === 0) continue;
        const subnet = subnetOf(address.value, mask.value);
        const itself = gateway.value === address.value;
        const kind = specialAddress(gateway.value, mask.value);
        const noHost = kind === 'network' || kind === 'broadcast';
        if (!itself && !noHost && contains(subnet, gateway.value)) continue;
        yield {
          message: itself ? 'itself' : noHost && contains(subnet, gateway.value) ? 'noHost' : 'outside',
          label: 'gateway',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: ['gateway', 'address'].map((field) => ({ kind: 'port', id: port.id, path: [field] })),
          params: {
            a: station.name,
            port: port.name || 'port',
            gateway: port.gateway.trim(),
            subnet: formatSubnet(subnet),
            what: kind === 'network' ? 'the address' : 'the broadcast address',
          },
          subjects: [port.id],
        };
      }
    },
  },
};
