import { contains, formatSubnet, parseIpv4, parseMask, parseSubnet, subnetOf } from '../../../wiring/ipv4.js';
import { formatHostRange, specialAddress, type SpecialAddress } from '../../../wiring/special.js';
import { toldFields } from '../../../told/told.js';
import { isOnEthernet, readAddressesOf } from '../../../wiring/port-addresses.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import type { Report, Rule } from '../../rule.js';
import { onOneComputer } from '../../../wiring/host-of.js';
import { toldFix } from './told-fix.js';

const BLOCKS: Partial<Record<SpecialAddress, string>> = {
  network: 'the address of the subnet itself',
  broadcast: 'the broadcast address of its subnet',
  multicast: 'a multicast address',
  reserved: 'a reserved address',
  'this network': 'an address of “this network”',
  loopback: 'a loopback address, which never leaves the computer',
};
const DOUBTS: Partial<Record<SpecialAddress, string>> = {
  'link-local': 'a link-local address, which a device gives itself when nobody gave it one',
  public: 'a public address',
  shared: 'an address that carriers share among their customers',
  documentation: 'an address that is kept for documentation',
  benchmarking: 'an address that is kept for benchmarks',
};

export const specialAddressUsed: Rule = {
  meta: {
    code: 'ADR 3',
    title: 'A port has the address of a host',
    source: 'RFC 6890, special-purpose addresses; RFC 1918, private addresses; RFC 3927, link-local addresses',
    messages: {
      noHost: {
        severity: 'blocker',
        headline: '{a}, {port}: {address} is {what}',
        says: ['{port}: [[{address}]] is {what}'],
        consequence: 'No device can be reached under it.',
        remedy: 'Choose an address of a host{range}.',
      },
      outsideNetwork: {
        severity: 'blocker',
        headline: '{a}, {port}: {address} is outside {subnet}, the subnet of {network}',
        says: ['{port}: [[{address}]] is not in {subnet}, the subnet of {network}'],
        consequence: 'Nobody on {network} reaches it.',
        remedy: 'Choose an address in {subnet}, or attach the port to another network.',
      },
      loopbackTold: {
        severity: 'blocker',
        headline: '{a} has {told} entered for {b}, a loopback address; {b} is on the other computer, at {true}',
        says: ['entered for {b}: [[{told}]], which is {a} itself', 'is at [[{true}]]'],
        consequence: 'A loopback address never leaves the computer: {a} calls itself.',
        remedy: 'Type {true} at {a}.',
      },
      unusual: {
        severity: 'doubt',
        headline: '{a}, {port}: {address} is {what}',
        says: ['{port}: [[{address}]] is {what}'],
        consequence: 'On a plant network private addresses are the normal case; this one may be a slip.',
        remedy: 'Confirm that it is meant, or choose a private address.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        for (const { field, told, truth, other } of toldFields(reader, exchange, end)) {
          const address = field === 'address' ? parseIpv4(told) : null;
          if (!address?.ok || specialAddress(address.value, null) !== 'loopback') continue;
          if (onOneComputer(reader, other.station, end.station)) continue;
          const name = (id: string) => reader.get('station', id)?.name ?? '';
          yield {
            message: 'loopbackTold',
            label: 'loopback entered',
            about: { kind: 'exchange', id: exchange.id, name: exchange.name },
            parties: [
              { station: end.station, end: end.id },
              { station: other.station, end: other.id },
            ],
            cells: [{ kind: 'end', id: end.id, path: ['told', other.id, 'address'] }],
            params: { a: name(end.station), b: name(other.station), told, true: truth ?? 'not known yet' },
            subjects: [end.id, other.id],
          };
        }
      }
    },
    *station(station, { reader }): Generator<Report> {
      for (const port of childrenOf(reader, 'port', station.id)) {
        const outside = outsideNetwork(reader, station, port);
        if (outside) {
          yield outside;
          continue;
        }
        const address = parseIpv4(port.address);
        if (!address.ok || !isOnEthernet(reader, port)) continue;
        const mask = parseMask(port.mask);
        const kind = specialAddress(address.value, mask.ok ? mask.value : null);
        const what = BLOCKS[kind] ?? DOUBTS[kind];
        if (what === undefined) continue;
        const subnet = mask.ok ? subnetOf(address.value, mask.value) : null;
        const inside = subnet && (kind === 'network' || kind === 'broadcast');
        yield {
          message: BLOCKS[kind] === undefined ? 'unusual' : 'noHost',
          label: kind,
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'port', id: port.id, path: ['address'] }],
          params: {
            a: station.name,
            port: port.name || 'port',
            address: port.address.trim(),
            what,
            range: inside ? `: ${formatSubnet(subnet)} has ${formatHostRange(subnet)}` : '',
          },
          subjects: [port.id],
        };
      }
    },
  },
  fixes: toldFix,
};

/** A port none of whose addresses is in the subnet that its network states. Routers make further subnets on one wire. */
function outsideNetwork(reader: Reader, station: Station, port: Port): Report | null {
  const network = port.network ? reader.get('network', port.network) : undefined;
  const subnet = network?.kind === 'ethernet' ? parseSubnet(network.subnet ?? '') : null;
  const addresses = readAddressesOf(port);
  const [first] = addresses;
  if (!network || !subnet?.ok || !first) return null;
  if (addresses.some(({ value }) => contains(subnet.value, value))) return null;
  const special = specialAddress(first.value, null);
  if (BLOCKS[special] !== undefined || isRoutedBeside(reader, network.id, first.value)) return null;
  return {
    message: 'outsideNetwork',
    label: 'outside its network',
    about: { kind: 'station', id: station.id, name: station.name },
    parties: [{ station: station.id }],
    cells: [{ kind: 'port', id: port.id, path: first.path }],
    params: {
      a: station.name,
      port: port.name || 'port',
      address: first.address.trim(),
      subnet: formatSubnet(subnet.value),
      network: network.name,
    },
    subjects: [port.id, 'network'],
  };
}

/** Whether a router on this network has an address in one subnet with this one. */
function isRoutedBeside(reader: Reader, network: string, address: number): boolean {
  return childrenOf(reader, 'port', network).some(
    (port) =>
      reader.get('station', port.station)?.roles.includes('router') &&
      readAddressesOf(port).some(({ subnet }) => subnet && contains(subnet, address)),
  );
}
