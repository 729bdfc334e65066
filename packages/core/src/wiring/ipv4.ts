import { read, unread, type Read } from '../text/read.js';

/** An IPv4 address as a number from 0 to 2³² − 1. */
export type Ipv4 = number;

/**
 * Dotted decimal, four parts of 0 to 255 without leading zeros.
 * [published: RFC 1166, dotted decimal notation; RFC 6943, 3.1.1 on leading zeros] [from memory]
 */
export function parseIpv4(text: string): Read<Ipv4> {
  const clean = text.trim();
  const expected = 'an IPv4 address is four numbers of 0 to 255 with points between, like 10.48.10.12';
  const parts = clean.split('.');
  if (parts.length !== 4) {
    const comma = clean.includes(',') ? ' with points, not commas, between' : '';
    return unread(`“${clean}” has ${parts.length} ${parts.length === 1 ? 'part' : 'parts'}${comma}`, expected);
  }
  let value = 0;
  for (const part of parts) {
    if (!/^\d{1,3}$/.test(part)) return unread(`“${part}” in “${clean}” is not such a number`, expected);
    if (part.length > 1 && part.startsWith('0')) {
      return unread(`“${part}” in “${clean}” has a leading zero, which some read as octal`, expected);
    }
    const number = Number(part);
    if (number > 255) return unread(`${number} in “${clean}” is above 255`, expected);
    value = value * 256 + number;
  }
  return read(value);
}

export function formatIpv4(address: Ipv4): string {
  return [24, 16, 8, 0].map((shift) => Math.floor(address / 2 ** shift) % 256).join('.');
}

/** `255.255.255.0`, `/24` or `24` → 24. The mask must be contiguous. [published: RFC 4632, 3.1] [from memory] */
export function parseMask(text: string): Read<number> {
  const clean = text.trim();
  const expected = 'a mask is /24 or 255.255.255.0: ones, then zeros';
  const short = /^\/?(\d{1,2})$/.exec(clean);
  if (short) {
    const prefix = Number(short[1]);
    return prefix <= 32 ? read(prefix) : unread(`/${prefix} is above /32`, expected);
  }
  const dotted = parseIpv4(clean);
  if (!dotted.ok) return unread(dotted.found, expected);
  const host = 2 ** 32 - dotted.value;
  const prefix = 32 - Math.log2(host);
  return Number.isInteger(prefix) ? read(prefix) : unread(`the ones in “${clean}” are not contiguous`, expected);
}

export function formatMask(prefix: number): string {
  return formatIpv4(2 ** 32 - 2 ** (32 - prefix));
}

export interface Subnet {
  network: Ipv4;
  prefix: number;
}

export function subnetOf(address: Ipv4, prefix: number): Subnet {
  const size = 2 ** (32 - prefix);
  return { network: Math.floor(address / size) * size, prefix };
}

export function contains(subnet: Subnet, address: Ipv4): boolean {
  return subnetOf(address, subnet.prefix).network === subnet.network;
}

/** `10.48.10.0/24` */
export function parseSubnet(text: string): Read<Subnet> {
  const [address = '', mask = ''] = text.trim().split('/');
  const ip = parseIpv4(address);
  if (!ip.ok) return ip;
  const prefix = parseMask(`/${mask}`);
  return prefix.ok ? read(subnetOf(ip.value, prefix.value)) : prefix;
}

export const formatSubnet = (subnet: Subnet) => `${formatIpv4(subnet.network)}/${subnet.prefix}`;

/** Addresses of a subnet, its network and broadcast address among them. */
export const addressCount = (subnet: Subnet): number => 2 ** (32 - subnet.prefix);

/** The last address of a subnet: its broadcast address, except in /31 and /32. [published: RFC 919; RFC 3021] [from memory] */
export const lastAddress = (subnet: Subnet): Ipv4 => subnet.network + addressCount(subnet) - 1;

/** Whether two subnets share an address. */
export function overlaps(a: Subnet, b: Subnet): boolean {
  return a.prefix <= b.prefix ? contains(a, b.network) : contains(b, a.network);
}
