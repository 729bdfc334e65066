import { shownWord } from '../text/shown-word.js';
import { contains, formatSubnet, parseIpv4, parseMask, parseSubnet, subnetOf, type Subnet } from '../wiring/ipv4.js';
import type { Network } from '../model/network.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { Traffic } from '../model/words.js';
import { isGateway } from './facts.js';
import type { Condition } from './hop.js';
import { tunnelConditions } from './tunnel.js';
import { linkAddress } from './link-address.js';
import { isService, passingOf } from './passes.js';

const portCell = (port: Port, field: string) => ({ kind: 'port' as const, id: port.id, path: [field] });
const nameOf = (reader: Reader, port: Port) => reader.get('station', port.station)?.name ?? '';

/** What must be true for a hop over a network: both ports are enabled and have addresses, in one subnet. */
export function linkConditions(reader: Reader, network: Network, from: Port, to: Port, traffic: Traffic): Condition[] {
  const conditions: Condition[] = [];
  for (const port of [from, to]) {
    const name = `${port.name || 'the port'} of ${nameOf(reader, port)}`;
    conditions.push({
      holds: port.enabled,
      must: `${name} is enabled`,
      found: 'it is not enabled',
      code: 'ROU 2',
      short: 'ports enabled',
      cell: portCell(port, 'enabled'),
    });
    // Who asks on a serial line has no unit address of its own.
    if (network.kind === 'direct cable' || (network.kind === 'serial line' && port === from)) continue;
    const address = linkAddress(network, port);
    conditions.push({
      holds: address !== '',
      must: `${name} has an address`,
      found: 'it has none yet',
      code: 'ROU 2',
      short: 'addresses set',
      cell: portCell(port, ADDRESS_FIELD[network.kind]),
    });
  }
  if (network.kind === 'ethernet') conditions.push(...oneSubnet(reader, from, to));
  if (to.takes && to.takes.length > 0) {
    conditions.push({
      holds: to.takes.includes(traffic),
      must: `${to.name || 'the port'} takes ${shownWord(traffic)}`,
      found: `it takes ${to.takes.map(shownWord).join(', ')}`,
      code: 'ROU 3',
      cell: portCell(to, 'takes'),
    });
  }
  return conditions;
}

const ADDRESS_FIELD = { ethernet: 'address', 'token bus': 'node', 'serial line': 'unit', radio: 'radio' } as const;

/** `10.48.10.11` with its mask as a subnet; null where it cannot be read. */
function subnetOfPort(port: Port): Subnet | null {
  const [address, mask] = [parseIpv4(port.address), parseMask(port.mask)];
  return address.ok && mask.ok && address.value !== 0 ? subnetOf(address.value, mask.value) : null;
}

/** Whether its address is in another subnet than its network states. */
function isOutside(reader: Reader, port: Port): boolean {
  const stated = parseSubnet((port.network && reader.get('network', port.network)?.subnet) || '');
  const address = parseIpv4(port.address);
  return stated.ok && address.ok && !contains(stated.value, address.value);
}

/** Each side looks with its own mask. [published: RFC 950, 2.2; RFC 1122, 3.3.1.1] [from memory] */
function oneSubnet(reader: Reader, from: Port, to: Port): Condition[] {
  const [here, there] = [subnetOfPort(from), subnetOfPort(to)];
  const [a, b] = [parseIpv4(from.address), parseIpv4(to.address)];
  if (!here || !there || !a.ok || !b.ok) return [];
  return [
    {
      holds: contains(here, b.value) && contains(there, a.value),
      must: `${nameOf(reader, from)} and ${nameOf(reader, to)} are in one subnet`,
      short: 'one subnet',
      found: `${from.address.trim()} is in ${formatSubnet(here)}, ${to.address.trim()} in ${formatSubnet(there)}`,
      code: 'ROU 6',
      cell: portCell(isOutside(reader, to) ? to : from, 'address'),
    },
  ];
}

/** A station between two networks, and whether IP itself does the passing. */
export interface Through {
  conditions: Condition[];
  silent: boolean;
}

/** What must be true where a route goes on through a station: it passes this traffic; an IP router is the gateway of both. */
export function throughConditions(
  reader: Reader,
  station: Station,
  ports: { before: Port; arrived: Port; leaving: Port; next: Port },
  networks: { from: Network; to: Network },
  traffic: Traffic,
): Through {
  const { passes, why, older } = passingOf(reader, station, traffic, networks.from, networks.to);
  const conditions: Condition[] = [
    {
      holds: passes,
      must: `${station.name} passes ${shownWord(traffic)}`,
      found: `${station.name} ${why}`,
      code: older ? 'HWS 8' : 'ROU 3',
      cell: { kind: 'station', id: station.id, path: ['profile'] },
    },
  ];
  if (isService(traffic)) conditions.push(...tunnelConditions(reader, ports.arrived, ports.before));
  const silent = passes === true && why === 'passes IP packets';
  if (silent) {
    conditions.push(
      gateway(reader, ports.before, ports.arrived, 'ROU 6'),
      gateway(reader, ports.next, ports.leaving, 'ROU 9'),
    );
  }
  return { conditions, silent };
}

/** There and back: a packet finds its way only where each side names the router's port on its own side as its gateway. */
function gateway(reader: Reader, port: Port, router: Port, code: string): Condition {
  const gateway = port.gateway.trim();
  return {
    holds: isGateway(port, router),
    must: `${nameOf(reader, port)} has ${router.address.trim() || 'the router'} as its gateway`,
    found: gateway === '' || gateway === '0.0.0.0' ? 'it has none' : `it has ${gateway}`,
    code,
    cell: portCell(port, 'gateway'),
  };
}
