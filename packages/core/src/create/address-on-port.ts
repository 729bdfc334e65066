import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { Network } from '../model/network.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import { read, unread, type Read } from '../text/read.js';
import {
  contains,
  formatIpv4,
  formatMask,
  formatSubnet,
  parseIpv4,
  parseMask,
  subnetOf,
  type Ipv4,
} from '../wiring/ipv4.js';
import { ledgerOf, nextFreeInLedger, subnetFor } from '../wiring/ledger.js';
import { newNetwork } from './new-entities.js';

/** Bits of the mask where neither the text nor a network says more: 255.255.255.0. */
const USUAL_PREFIX = 24;
const MOST_FORMER = 50;
const LAN = 'LAN';

/** An address on a port: the networks that are made for it, and what of the port becomes otherwise. */
export interface Addressed {
  made: Change[];
  fields: Partial<Pick<Port, 'address' | 'mask' | 'network' | 'former'>>;
}

/**
 * An address typed for an Ethernet port: `10.8.2.12`, `10.8.2.12/24`, `.12` or `free` within its network. The first
 * address of a port that hangs on nothing, or `anywhere` of any port, chooses its network: the one whose subnet holds it; where
 * there is none, one is made. Without /24 the mask is the network’s. What is no address is kept as it was typed.
 */
export function addressOnPort(
  project: Project,
  port: Port,
  text: string,
  newId: () => string,
  { anywhere = false } = {},
): Read<Addressed> {
  const [first = '', prefixText] = text.split('/').map((part) => part.trim());
  const mask = prefixText === undefined ? null : parseMask(`/${prefixText}`);
  if (mask && !mask.ok) return mask;
  const own = port.network ? project.get('network', port.network) : undefined;
  const whole = wholeAddress(project, own ?? onlyLan(project), first);
  if (!whole.ok) return whole;
  const address = parseIpv4(whole.value);
  const said = mask ? mask.value : null;
  if (!address.ok)
    return read({
      made: [],
      fields: { ...moved(port, whole.value), ...(said === null ? {} : { mask: formatMask(said) }) },
    });
  // One that has an address stays where it is, or on nothing.
  const chosen = port.address.trim() !== '' || (own && !anywhere);
  const place = chosen ? { made: [] } : placeFor(project, port, own, address.value, said ?? USUAL_PREFIX, newId);
  const network = ('network' in place ? place.network : undefined) ?? own;
  const subnet = network && subnetFor(network, childrenOf(project, 'port', network.id));
  const prefix = said ?? (subnet && contains(subnet, address.value) ? subnet.prefix : null);
  return read({
    made: place.made,
    fields: {
      ...moved(port, whole.value),
      ...(prefix === null ? {} : { mask: formatMask(prefix) }),
      ...(network && network.id !== port.network ? { network: network.id } : {}),
    },
  });
}

/** The old address is kept among the former ones. */
function moved(port: Port, address: string): Addressed['fields'] {
  const old = port.address.trim();
  const wasOne = parseIpv4(old).ok && old !== address && !port.former.includes(old);
  return { address, ...(wasOne ? { former: [...port.former, old].slice(-MOST_FORMER) } : {}) };
}

const lansOf = (project: Project): Network[] => inOrder(project, 'network').filter(({ kind }) => kind === 'ethernet');

function onlyLan(project: Project): Network | undefined {
  const lans = lansOf(project);
  return lans.length === 1 ? lans[0] : undefined;
}

/** `.12` and `free` are of the network. */
function wholeAddress(project: Project, network: Network | undefined, text: string): Read<string> {
  const short = /^\.(\d{1,3})$/.exec(text);
  const free = text.toLowerCase() === 'free';
  if (!short && !free) return read(text);
  const subnet = network && subnetFor(network, childrenOf(project, 'port', network.id));
  if (!subnet)
    return unread(`“${text}” needs a network whose subnet is known`, 'write the whole address, as 10.48.10.13/24');
  if (short)
    return Number(short[1]) > 255
      ? unread(`${short[1]} is no part of an address`, 'write 0 to 255')
      : read(formatIpv4(subnet.network + Number(short[1])));
  const ledger = ledgerOf(project, network);
  const next = ledger && nextFreeInLedger(ledger);
  return next === null || next === undefined
    ? unread(`no address of ${network.name} is free`, 'use another network')
    : read(formatIpv4(next));
}

/** Where a port without an address goes by its first one; a network that is made for it is among the changes. */
function placeFor(
  project: Project,
  port: Port,
  own: Network | undefined,
  address: Ipv4,
  prefix: number,
  newId: () => string,
): { network?: Network; made: Change[] } {
  if (own && own.kind !== 'ethernet') return { made: [] };
  const subnetIn = (network: Network) => {
    const others = childrenOf(project, 'port', network.id).filter(({ id }) => id !== port.id);
    return subnetFor(network, others);
  };
  const holds = (network: Network) => {
    const subnet = subnetIn(network);
    return subnet !== null && contains(subnet, address);
  };
  const settled = own && (holds(own) || subnetIn(own) === null);
  if (settled) return { made: [] };
  const lans = lansOf(project);
  const network = lans.find(holds) ?? lans.find((lan) => subnetIn(lan) === null && lan.id !== own?.id);
  if (network) return { network, made: [] };
  const named = lans.filter(({ name }) => name.startsWith(LAN)).length;
  const subnet = formatSubnet(subnetOf(address, prefix));
  const lan = { ...newNetwork(newId(), orderAfter(inOrder(project, 'network')), freeName(project, named)), subnet };
  return { network: lan, made: [put('network', lan)] };
}

/** `LAN`, `LAN 2` … */
function freeName(project: Project, from: number): string {
  const names = new Set(inOrder(project, 'network').map(({ name }) => name.toLowerCase()));
  for (let i = from + 1; ; i++) {
    const name = i === 1 ? LAN : `${LAN} ${i}`;
    if (!names.has(name.toLowerCase())) return name;
  }
}

/** A network that was made for the first address of this port alone, and has its name from here. */
export const madeForAlone = (project: Project, port: Port): Network | null => {
  const network = port.network ? project.get('network', port.network) : undefined;
  const alone = network && childrenOf(project, 'port', network.id).length === 1;
  return alone && /^LAN(?: \d+)?$/.test(network.name) ? network : null;
};
