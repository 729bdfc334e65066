import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import ipaddr from 'ipaddr.js';
import {
  addressCount,
  contains,
  formatIpv4,
  formatMask,
  lastAddress,
  overlaps,
  parseIpv4,
  parseMask,
  parseSubnet,
  subnetOf,
  type Subnet,
} from './ipv4.js';

const address = fc.integer({ min: 0, max: 2 ** 32 - 1 });
const prefix = fc.integer({ min: 0, max: 32 });

test('text to number and back', () => {
  fc.assert(fc.property(address, (a) => expect(parseIpv4(formatIpv4(a))).toEqual({ ok: true, value: a })));
});

test('membership is as ipaddr.js says [library: ipaddr.js]', () => {
  fc.assert(
    fc.property(address, address, prefix, (a, b, bits) => {
      const near = fc.sample(fc.constantFrom(a, b), 1)[0]!;
      const theirs = ipaddr.IPv4.parse(formatIpv4(near)).match(ipaddr.IPv4.parse(formatIpv4(a)), bits);
      expect(contains(subnetOf(a, bits), near)).toBe(theirs);
    }),
  );
});

test('network and mask are as ipaddr.js says [library: ipaddr.js]', () => {
  fc.assert(
    fc.property(address, prefix, (a, bits) => {
      const cidr = `${formatIpv4(a)}/${bits}`;
      expect(formatIpv4(subnetOf(a, bits).network)).toBe(ipaddr.IPv4.networkAddressFromCIDR(cidr).toString());
      expect(formatMask(bits)).toBe(ipaddr.IPv4.subnetMaskFromPrefixLength(bits).toString());
      expect(parseMask(formatMask(bits))).toEqual({ ok: true, value: bits });
    }),
  );
});

test('class C is 255.255.255.0 is /24 [common practice]', () => {
  expect(parseMask('255.255.255.0')).toEqual({ ok: true, value: 24 });
  expect(parseMask('/24')).toEqual({ ok: true, value: 24 });
  expect(parseSubnet('10.48.10.99/24')).toEqual({ ok: true, value: { network: 0x0a300a00, prefix: 24 } });
});

test.each(['10.48.10', '10.48.10.300', '10.048.10.1', '10,48,10,1', '', 'x.y.z.w', '1.2.3.4.5', '1.2.3.-4'])(
  '%s is refused',
  (text) => {
    expect(parseIpv4(text).ok).toBe(false);
  },
);

test.each(['255.0.255.0', '/33', '255.255.255', 'abc', '0.0.0.255'])('mask %s is refused', (text) => {
  expect(parseMask(text).ok).toBe(false);
});

type Row = [
  cidr: string,
  network: string,
  broadcast: string,
  mask: string,
  addresses: number,
  other: string,
  overlaps: boolean,
  near: string,
  inside: boolean,
];
/** [library: Python ipaddress] made by ipv4-table.testing.py, checked in. */
const TABLE = JSON.parse(readFileSync(join(__dirname, 'ipv4-table.testing.json'), 'utf8')) as Row[];

test('subnets are as Python’s ipaddress says [library: Python ipaddress]', () => {
  const subnet = (text: string): Subnet => {
    const read = parseSubnet(text);
    if (!read.ok) throw new Error(read.found);
    return read.value;
  };
  expect(TABLE.length).toBe(400);
  for (const [cidr, network, broadcast, mask, addresses, other, overlap, near, inside] of TABLE) {
    const own = subnet(cidr);
    const nearby = parseIpv4(near);
    expect([
      formatIpv4(own.network),
      formatIpv4(lastAddress(own)),
      formatMask(own.prefix),
      addressCount(own),
      overlaps(own, subnet(other)),
      nearby.ok && contains(own, nearby.value),
    ]).toEqual([network, broadcast, mask, addresses, overlap, inside]);
  }
});
