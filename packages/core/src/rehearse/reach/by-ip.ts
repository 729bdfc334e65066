import { childrenOf } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import type { Station } from '../../model/station.js';
import { hostOf } from '../../wiring/host-of.js';
import { contains, parseIpv4, type Ipv4 } from '../../wiring/ipv4.js';
import { readAddressesOf } from '../../wiring/port-addresses.js';
import { reached, stopped, type Reached } from './reached.js';

/** 127.0.0.0/8 is the own computer. [published: RFC 6890] [from memory] */
const LOOPBACK = 127;

/**
 * Whoever has the address that was entered, asked from a port: on the same network, or through gateways that pass IP
 * packets on; what answers has to find its way back in the same manner.
 */
export function byIp(reader: Reader, from: Port, text: string): Reached {
  if (text.trim() === '') return stopped('no address is entered');
  const address = parseIpv4(text);
  if (!address.ok) return stopped(`“${text}” is no address`);
  const caller = nameOf(reader, from);
  if (Math.floor(address.value / 2 ** 24) === LOOPBACK) return stopped(`${text} is ${caller} itself`);
  const [own] = readAddressesOf(from);
  if (!own) return stopped(`${caller} has no address of its own`);
  const there = way(reader, from, address.value, new Set());
  if (!there.ok) return there;
  if (!there.port.enabled) return stopped(`the port of ${nameOf(reader, there.port)} is not enabled`);
  const back = way(reader, there.port, own.value, new Set());
  if (!back.ok) return stopped(`the answer does not come back: ${back.why}`);
  return there;
}

/** The port with an address, as far as packets from this port come. */
function way(reader: Reader, from: Port, address: Ipv4, seen: Set<string>): Reached {
  const text = readAddressesOf(from).find(({ subnet }) => subnet && contains(subnet, address));
  if (text || readAddressesOf(from).every(({ subnet }) => !subnet)) return onNetwork(reader, from, address);
  const gateway = parseIpv4(from.gateway);
  const name = nameOf(reader, from);
  if (!gateway.ok || gateway.value === 0) return stopped(`it is in another subnet than ${name}, which has no gateway`);
  const door = onNetwork(reader, from, gateway.value);
  if (!door.ok) return stopped(`the gateway ${from.gateway} of ${name}: ${door.why}`);
  if (seen.has(door.port.station)) return stopped('packets go round in a circle');
  seen.add(door.port.station);
  const router = reader.get('station', door.port.station);
  if (!router || !passesPackets(reader, router)) return stopped(`${router?.name ?? ''} passes no IP packets on`);
  const further = childrenOf(reader, 'port', router.id).filter((port) => port.id !== door.port.id && port.enabled);
  const direct = further.find((port) => readAddressesOf(port).some((a) => a.subnet && contains(a.subnet, address)));
  const next = direct ?? further.find((port) => port.gateway !== '');
  return next ? way(reader, next, address, seen) : stopped(`${router.name} knows no way to it`);
}

/** Whoever answers for an address on the network of a port. */
function onNetwork(reader: Reader, from: Port, address: Ipv4): Reached {
  const network = from.network ? reader.get('network', from.network) : undefined;
  if (!network) return stopped(`the port of ${nameOf(reader, from)} is attached to no network`);
  const all = childrenOf(reader, 'port', network.id).filter((port) =>
    readAddressesOf(port).some(({ value }) => value === address),
  );
  if (all.length > 1) return stopped(`${all.map((port) => nameOf(reader, port)).join(' and ')} both have it`);
  return all[0] ? reached(all[0]) : stopped(`nobody on ${network.name} has it`);
}

function passesPackets(reader: Reader, station: Station): boolean {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  return Object.values(profile?.forwards ?? {}).some(({ what }) => what === 'IP packets');
}

const nameOf = (reader: Reader, port: Port): string => reader.get('station', port.station)?.name ?? '';

/** Whether two stations are one computer, which reaches itself without any network. */
export function onOneComputer(reader: Reader, a: Station, b: Station): boolean {
  return hostOf(reader, a).id === hostOf(reader, b).id;
}
