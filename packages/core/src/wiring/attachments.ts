import { contains, formatIpv4, parseIpv4, parseSubnet } from './ipv4.js';
import type { Network } from '../model/network.js';
import { childrenOf, inOrder } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Project } from '../model/project.js';
import type { Station } from '../model/station.js';
import { numberText } from './numbers-on.js';

/** One line of the attachment table: a station, or a further port of the one above it. */
export interface AttachmentRow {
  station: Station;
  /** the port in each column, by network */
  ports: Readonly<Record<string, Port>>;
  /** a port that hangs on nothing, shown on a line of its own */
  loose: Port | null;
  /** false: more ports of the station above */
  first: boolean;
  /** what it does between its networks; null: nothing */
  passes: 'forwards' | 'copies data only' | null;
}

/** Stations on several networks first, then all others, each in order; a second port on one network has its own line. */
export function attachmentsOf(project: Project): AttachmentRow[] {
  const rows = inOrder(project, 'station').map((station) => rowsOf(project, station));
  const joined = rows.filter(([first]) => Object.keys(first!.ports).length > 1);
  return [...joined, ...rows.filter((list) => !joined.includes(list))].flat();
}

function rowsOf(project: Project, station: Station): AttachmentRow[] {
  const lines: Record<string, Port>[] = [{}];
  const loose: Port[] = [];
  for (const port of childrenOf(project, 'port', station.id)) {
    if (port.network === null) loose.push(port);
    else {
      let line = lines.find((l) => !(port.network! in l));
      if (!line) lines.push((line = {}));
      line[port.network] = port;
    }
  }
  const passes = passesOf(station);
  const row = (ports: Record<string, Port>, port: Port | null, first: boolean): AttachmentRow => ({
    station,
    ports,
    loose: port,
    first,
    passes: first ? passes : null,
  });
  return [...lines.map((ports, i) => row(ports, null, i === 0)), ...loose.map((port) => row({}, port, false))];
}

function passesOf({ roles }: Station): AttachmentRow['passes'] {
  if (roles.includes('router')) return 'forwards';
  return roles.includes('coupler') || roles.includes('gateway') || roles.includes('radio unit')
    ? 'copies data only'
    : null;
}

/** What a cell of the table shows: the short address, and a word about it. `.11` and `general`; `12` and `unit, answers`. */
export function attachmentWords(network: Network, port: Port): { address: string; word: string } {
  switch (network.kind) {
    case 'ethernet':
      return { address: shortAddress(network, port.address), word: port.purpose };
    case 'serial line': {
      const unit = numberText(port, 'unit');
      const role = port.lineRole ?? '';
      return { address: unit, word: [unit === '' ? '' : 'unit', role].filter((w) => w !== '').join(', ') };
    }
    case 'token bus':
      return { address: numberText(port, 'node'), word: 'node' };
    case 'radio':
      return { address: numberText(port, 'radio'), word: port.radio?.sort ?? 'unit' };
    case 'direct cable':
      return { address: '', word: port.name || 'plugged in' };
  }
}

/** `.11` on a network whose subnet leaves the last part free only; else the whole address. */
export function shortAddress(network: Network, address: string): string {
  const subnet = parseSubnet(network.subnet ?? '');
  const read = parseIpv4(address);
  if (!read.ok) return address.trim();
  const short = subnet.ok && subnet.value.prefix >= 24 && contains(subnet.value, read.value);
  return short ? `.${read.value & 255}` : formatIpv4(read.value);
}
