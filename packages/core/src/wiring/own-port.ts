import { formatIpv4, formatMask, formatSubnet, overlaps, subnetOf } from './ipv4.js';
import type { Network } from '../model/network.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { ledgerOf, nextFreeInLedger, subnetFor } from './ledger.js';
import { readAddressesOf } from './port-addresses.js';

/** Which adapter of an engineer's computer is for a network, and why; what would mislead. */
export interface OwnPort {
  network: Network;
  /** null: none is */
  port: Port | null;
  /** the address to have there, with its mask: its own, or a free one to set */
  address: string;
  /** true: it is to be set first */
  toSet: boolean;
  why: string;
  /** why each other one would not do */
  others: readonly { port: Port; why: string }[];
}

/** For each Ethernet network that anything is attached to: the adapter to use, on which address, and why not the others. */
export function ownPorts(project: Project, station: Station): OwnPort[] {
  const adapters = childrenOf(project, 'port', station.id);
  return inOrder(project, 'network')
    .filter((network) => network.kind === 'ethernet')
    .flatMap((network) => {
      const attached = adapters.filter((p) => p.network === network.id);
      const loose = adapters.filter((p) => p.network === null);
      const best = attached.find((p) => p.enabled) ?? attached[0] ?? loose.find((p) => p.enabled) ?? null;
      if (attached.length === 0 && loose.length === 0) return [];
      return [advice(project, network, adapters, best)];
    });
}

function advice(project: Project, network: Network, adapters: readonly Port[], port: Port | null): OwnPort {
  const subnet = subnetFor(network, childrenOf(project, 'port', network.id));
  const inside = port
    ? readAddressesOf(port).find(
        (a) => subnet && a.subnet && subnetOf(a.value, subnet.prefix).network === subnet.network,
      )
    : undefined;
  const ledger = ledgerOf(project, network);
  const free = ledger && nextFreeInLedger(ledger);
  const set = inside?.subnet && subnet && inside.subnet.prefix === subnet.prefix;
  const mask = subnet ? `/${subnet.prefix}` : '';
  const fresh = free === null || free === undefined ? '' : `${formatIpv4(free)}${mask}`;
  const others = adapters.filter((p) => p.id !== port?.id).map((p) => ({ port: p, why: whyNot(network, p, subnet) }));
  const where = subnet ? formatSubnet(subnet) : 'a subnet that is not known yet';
  const why = !port
    ? 'no adapter is left for it'
    : port.network === network.id
      ? set
        ? `it is attached to ${network.name}, in ${where}`
        : `it is attached to ${network.name}; its address must be in ${where} with mask ${subnet ? formatMask(subnet.prefix) : 'not known'}`
      : `it is not connected to a network; plug it into ${network.name}, in ${where}`;
  const through = port && bridgeOf(project, port);
  const whole = through ? `${why}; ${bridgeWords(through, network)}` : why;
  return { network, port, address: set ? `${inside!.address}${mask}` : fresh, toSet: !set, why: whole, others };
}

/** The host's adapter through which the traffic of a virtual machine's one leaves. */
function bridgeOf(project: Project, port: Port): { port: Port; station: string } | null {
  const host = port.bridgedTo ? project.get('port', port.bridgedTo) : undefined;
  return host ? { port: host, station: project.get('station', host.station)?.name ?? '' } : null;
}

function bridgeWords({ port, station }: { port: Port; station: string }, network: Network): string {
  const name = `${port.name || 'the port'} of ${station}`;
  return port.network === network.id
    ? `it is bridged to ${name}, which is plugged in there`
    : `it is bridged to ${name}: plug that one into ${network.name}`;
}

function whyNot(network: Network, port: Port, subnet: ReturnType<typeof subnetFor>): string {
  if (!port.enabled) return 'it is not enabled';
  const clash = subnet && readAddressesOf(port).find((a) => a.subnet && overlaps(a.subnet, subnet));
  if (clash?.subnet && port.network !== network.id) {
    return `its subnet ${formatSubnet(clash.subnet)} overlaps that of ${network.name}: what is meant for there may leave here`;
  }
  if (port.network === null) return 'it is not connected to a network';
  return port.network === network.id ? 'it is a second one on the same network' : 'it is attached to another network';
}
