import fc from 'fast-check';
import ipaddr from 'ipaddr.js';
import { formatIpv4, parseIpv4 } from './ipv4.js';
import { formatHostRange, hostCount, nextFreeHost, specialAddress } from './special.js';

const kind = (text: string, prefix: number | null = null) => {
  const read = parseIpv4(text);
  if (!read.ok) throw new Error(read.found);
  return specialAddress(read.value, prefix);
};

test.each([
  ['0.0.0.0', 'not yet set'],
  ['10.48.10.12', 'private'],
  ['172.31.255.1', 'private'],
  ['172.32.0.1', 'public'],
  ['192.168.0.7', 'private'],
  ['8.8.4.4', 'public'],
  ['127.0.0.1', 'loopback'],
  ['169.254.7.7', 'link-local'],
  ['224.0.0.1', 'multicast'],
  ['255.255.255.255', 'reserved'],
  // [published: RFC 6890, 2.2.2] [from memory]
  ['100.64.0.1', 'shared'],
  ['100.128.0.1', 'public'],
  ['192.0.2.1', 'documentation'],
  ['198.51.100.255', 'documentation'],
  ['203.0.113.9', 'documentation'],
  ['198.19.255.255', 'benchmarking'],
  ['198.20.0.0', 'public'],
  ['192.0.0.8', 'reserved'],
] as const)('%s is %s', (text, expected) => {
  expect(kind(text)).toBe(expected);
});

test('the first and last of a subnet are no hosts, but both of a /31 are [published: RFC 3021] [from memory]', () => {
  expect(kind('10.48.10.0', 24)).toBe('network');
  expect(kind('10.48.10.255', 24)).toBe('broadcast');
  expect(kind('10.48.10.0', 31)).toBe('private');
  expect(kind('10.48.10.1', 31)).toBe('private');
  expect(formatHostRange({ network: 0x0a300a00, prefix: 24 })).toBe('10.48.10.1–10.48.10.254');
});

test('kinds are as ipaddr.js says [library: ipaddr.js]', () => {
  const theirs: Record<string, string> = {
    unspecified: 'this network',
    broadcast: 'reserved',
    multicast: 'multicast',
    linkLocal: 'link-local',
    loopback: 'loopback',
    private: 'private',
    unicast: 'public',
    carrierGradeNat: 'shared',
    benchmarking: 'benchmarking',
  };
  // Theirs has one word for what is kept for documentation, for protocols and for later.
  const KEPT = ['reserved', 'documentation'];
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2 ** 32 - 1 }), (address) => {
      const range = ipaddr.IPv4.parse(formatIpv4(address)).range();
      const own = specialAddress(address, null);
      if (range === 'reserved') expect(KEPT).toContain(own);
      else if (theirs[range]) expect(own).toBe(theirs[range]);
    }),
  );
});

test('hosts of a subnet: 254 in /24, two in /31, one in /32 [published: RFC 950; RFC 3021, 2.1] [from memory]', () => {
  const subnet = (prefix: number) => ({ network: 0x0a300a00, prefix });
  expect([24, 30, 31, 32].map((prefix) => hostCount(subnet(prefix)))).toEqual([254, 2, 2, 1]);
});

test('the next free host is the first that nobody has, by brute force', () => {
  const subnet = { network: 0x0a300a00, prefix: 28 };
  fc.assert(
    fc.property(fc.uniqueArray(fc.nat(20)), fc.nat(20), (offsets, from) => {
      const taken = new Set(offsets.map((o) => subnet.network + o));
      const hosts = Array.from({ length: 14 }, (_, i) => subnet.network + 1 + i);
      const free = hosts.find((h) => h >= subnet.network + from && !taken.has(h)) ?? null;
      expect(nextFreeHost(subnet, taken, subnet.network + from)).toBe(free);
    }),
  );
});
