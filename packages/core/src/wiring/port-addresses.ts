import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { parseIpv4, parseMask, subnetOf, type Ipv4, type Subnet } from './ipv4.js';
import { entriesInOrder } from '../model/order.js';
import type { AddressSource } from '../model/words.js';

/** One IPv4 address of a port, as typed, and where in the port it stands. */
export interface PortAddress {
  address: string;
  mask: string;
  how: AddressSource;
  path: readonly string[];
}

/** Its own address first, then the further ones. */
export function addressesOf(port: Port): PortAddress[] {
  const own: PortAddress = { address: port.address, mask: port.mask, how: port.how ?? 'by hand', path: ['address'] };
  const further = entriesInOrder(port.further ?? {}).map(([key, { address, mask, how }]) => ({
    address,
    mask,
    how,
    path: ['further', key, 'address'],
  }));
  return [own, ...further];
}

/** Those that can be read and are set, with their subnets. */
export function readAddressesOf(port: Port): (PortAddress & { value: Ipv4; subnet: Subnet | null })[] {
  return addressesOf(port).flatMap((one) => {
    const address = parseIpv4(one.address);
    if (!address.ok || address.value === 0) return [];
    const mask = parseMask(one.mask);
    return [{ ...one, value: address.value, subnet: mask.ok ? subnetOf(address.value, mask.value) : null }];
  });
}

/** Whether IP addresses mean anything here: the port is attached to Ethernet, or to nothing yet. */
export function isOnEthernet(reader: Reader, port: Port): boolean {
  const network = port.network ? reader.get('network', port.network) : undefined;
  return network === undefined || network.kind === 'ethernet';
}
