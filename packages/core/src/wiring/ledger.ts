import { addressCount, contains, formatIpv4, lastAddress, parseIpv4, parseSubnet, type Subnet } from './ipv4.js';
import type { Network } from '../model/network.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { SPACES } from './address-spaces.js';
import { numberOf, spacesOn } from './numbers-on.js';
import { readAddressesOf } from './port-addresses.js';

/** Neighbouring addresses that are all free, or one that somebody has. */
export interface LedgerRun {
  from: number;
  to: number;
  /** who has it; empty: free */
  ports: readonly Port[];
  /** a free one that these once had */
  former: readonly Port[];
}

/** All addresses of a network as runs, in order. */
export interface Ledger {
  /** the word for what is counted: `address`, `unit address` … */
  what: string;
  first: number;
  last: number;
  used: number;
  runs: readonly LedgerRun[];
  /** addresses that lie outside the subnet */
  outside: readonly Port[];
  /** writes one of its numbers */
  format: (number: number) => string;
}

/** Null where a network has no addresses, or its subnet is not known. */
export function ledgerOf(reader: Reader, network: Network): Ledger | null {
  const ports = childrenOf(reader, 'port', network.id);
  if (network.kind === 'ethernet') {
    const subnet = subnetFor(network, ports);
    return subnet && ipLedger(subnet, ports);
  }
  const [space] = spacesOn(network);
  if (!space) return null;
  const taken = ports.flatMap((port) => {
    const number = numberOf(port, space);
    return number === null ? [] : [[number, port] as const];
  });
  const { least, most, name } = SPACES[space];
  return { what: name, ...runsOf(least, most, taken, []), outside: [], format: String };
}

/** The network's own subnet, or else that of the first port whose address and mask can be read. */
export function subnetFor(network: Network, ports: readonly Port[]): Subnet | null {
  const own = parseSubnet(network.subnet ?? '');
  if (own.ok) return own.value;
  for (const port of ports) for (const { subnet } of readAddressesOf(port)) if (subnet) return subnet;
  return null;
}

function ipLedger(subnet: Subnet, ports: readonly Port[]): Ledger {
  const small = subnet.prefix >= 31;
  const first = subnet.network + (small ? 0 : 1);
  const last = lastAddress(subnet) - (small ? 0 : 1);
  const all = ports.flatMap((port) => readAddressesOf(port).map(({ value }) => [value, port] as const));
  const former = ports.flatMap((port) =>
    port.former.flatMap((text) => {
      const read = parseIpv4(text);
      return read.ok && contains(subnet, read.value) ? [[read.value, port] as const] : [];
    }),
  );
  const inside = all.filter(([value]) => contains(subnet, value));
  const outside = all.filter(([value]) => !contains(subnet, value)).map(([, port]) => port);
  const format = (value: number) => (addressCount(subnet) <= 256 ? `.${value & 255}` : formatIpv4(value));
  return { what: 'address', ...runsOf(first, last, inside, former), outside, format };
}

type Taken = readonly (readonly [number, Port])[];

function runsOf(first: number, last: number, taken: Taken, former: Taken) {
  const byNumber = (list: Taken) => {
    const map = new Map<number, Port[]>();
    for (const [number, port] of list) map.set(number, [...(map.get(number) ?? []), port]);
    return map;
  };
  const [now, once] = [byNumber(taken), byNumber(former)];
  const marks = [...new Set([...now.keys(), ...once.keys()])]
    .filter((n) => n >= first && n <= last)
    .sort((a, b) => a - b);
  const runs: LedgerRun[] = [];
  let next = first;
  const free = (to: number) => {
    if (to >= next) runs.push({ from: next, to, ports: [], former: [] });
  };
  for (const number of marks) {
    free(number - 1);
    const ports = now.get(number) ?? [];
    runs.push({ from: number, to: number, ports, former: ports.length > 0 ? [] : (once.get(number) ?? []) });
    next = number + 1;
  }
  free(last);
  return { first, last, used: marks.filter((n) => now.has(n)).length, runs };
}

/** The first free number after the last one that is taken, else the first free one; former addresses are passed over. */
export function nextFreeInLedger(ledger: Ledger): number | null {
  const free = ledger.runs.filter((run) => run.ports.length === 0 && run.former.length === 0);
  const lastTaken = ledger.runs.findLast((run) => run.ports.length > 0)?.to ?? ledger.first - 1;
  return free.find((run) => run.from > lastTaken)?.from ?? free[0]?.from ?? null;
}
