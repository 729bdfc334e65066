import { contains, formatIpv4, lastAddress, parseSubnet, subnetOf, type Ipv4, type Subnet } from './ipv4.js';

/** What an address is, beside being one of a host. */
export type SpecialAddress =
  | 'not yet set'
  | 'loopback'
  | 'link-local'
  | 'multicast'
  | 'reserved'
  | 'this network'
  | 'network'
  | 'broadcast'
  | 'shared'
  | 'documentation'
  | 'benchmarking'
  | 'public'
  | 'private';

const block = (text: string): Subnet => {
  const read = parseSubnet(text);
  if (!read.ok) throw new Error(read.found);
  return read.value;
};

/** [published: RFC 1918, 3] [from memory] */
const PRIVATE = ['10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16'].map(block);
/** [published: RFC 6890, 2.2.2 special-purpose address registry] [from memory] */
const SPECIAL: readonly (readonly [SpecialAddress, Subnet])[] = [
  ['this network', block('0.0.0.0/8')],
  ['loopback', block('127.0.0.0/8')],
  ['link-local', block('169.254.0.0/16')],
  ['multicast', block('224.0.0.0/4')],
  ['reserved', block('240.0.0.0/4')],
  ['reserved', block('192.0.0.0/24')],
  ['shared', block('100.64.0.0/10')],
  ['documentation', block('192.0.2.0/24')],
  ['documentation', block('198.51.100.0/24')],
  ['documentation', block('203.0.113.0/24')],
  ['benchmarking', block('198.18.0.0/15')],
];

/**
 * What kind of address this is, in a subnet of so many bits where that is known. 0.0.0.0 is 'not yet set'; the first and
 * last of a subnet are its network and broadcast addresses, except in /31 and /32.
 * [published: RFC 6890; RFC 3021 for /31] [from memory]
 */
export function specialAddress(address: Ipv4, prefix: number | null): SpecialAddress {
  if (address === 0) return 'not yet set';
  for (const [kind, subnet] of SPECIAL) if (contains(subnet, address)) return kind;
  if (prefix !== null && prefix < 31) {
    const { network } = subnetOf(address, prefix);
    if (address === network) return 'network';
    if (address === lastAddress({ network, prefix })) return 'broadcast';
  }
  return PRIVATE.some((subnet) => contains(subnet, address)) ? 'private' : 'public';
}

/** The hosts that a subnet has room for, as first and last. */
export function hostRange({ network, prefix }: Subnet): { first: Ipv4; last: Ipv4 } {
  const last = lastAddress({ network, prefix });
  return prefix >= 31 ? { first: network, last } : { first: network + 1, last: last - 1 };
}

export const formatHostRange = (subnet: Subnet): string => {
  const { first, last } = hostRange(subnet);
  return `${formatIpv4(first)}–${formatIpv4(last)}`;
};

/** How many hosts a subnet has room for. */
export const hostCount = (subnet: Subnet): number => {
  const { first, last } = hostRange(subnet);
  return last - first + 1;
};

/** The first address of a host at or after `from` that is not taken; null where there is none up to the subnet's end. */
export function nextFreeHost(subnet: Subnet, taken: ReadonlySet<Ipv4>, from: Ipv4): Ipv4 | null {
  const { first, last } = hostRange(subnet);
  for (let next = Math.max(first, from); next <= last; next++) if (!taken.has(next)) return next;
  return null;
}
