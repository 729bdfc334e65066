import { parseIpv4 } from '../address/ipv4.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import { protocolOf } from '../protocol/catalogue.js';
import type { ToldField } from '../protocol/protocol.js';

/** One thing that an end was told about another, beside what is so. */
export interface ToldValue {
  field: ToldField['field'];
  other: End;
  /** as typed, or the protocol's default; empty: not told */
  told: string;
  isDefault: boolean;
  /** null: not known yet */
  truth: string | null;
  same: boolean;
  /** the told address is one that the other station once had */
  former: boolean;
  /** the told address is that of another station on the same network */
  belongsTo: string | null;
}

/** Everything that this end must be told by its protocol and role, compared with the other ends' own ports. */
export function toldFields(reader: Reader, exchange: Exchange, end: End): ToldValue[] {
  if (!end.calling) return [];
  const protocol = protocolOf(exchange);
  const fields = protocol.told[end.calling];
  if (fields.length === 0) return [];
  return childrenOf(reader, 'end', exchange.id)
    .filter((other) => other.id !== end.id)
    .flatMap((other) => fields.map((field) => toldValue(reader, protocol.id, protocol.tcpPort, end, other, field)));
}

function toldValue(
  reader: Reader,
  protocol: string,
  ownTcpPort: number | null,
  end: End,
  other: End,
  { field, fallback }: ToldField,
): ToldValue {
  const typed = end.told[other.id]?.[field].trim() ?? '';
  const told = typed || (fallback ?? '');
  const port = portOf(reader, other);
  const base = { field, other, told, isDefault: typed === '' && told !== '', former: false, belongsTo: null };
  if (field === 'address') {
    const truth = port?.address.trim() || null;
    const same = truth !== null && sameAddress(told, truth);
    if (same || !port) return { ...base, truth, same };
    const former = port.former.some((address) => sameAddress(address, told));
    return { ...base, truth, same, former, belongsTo: former ? null : ownerOf(reader, port.network, told) };
  }
  const truth =
    field === 'tcpPort'
      ? port
        ? String(port.listens[protocol]?.tcpPort ?? ownTcpPort ?? '') || null
        : null
      : port?.unit === null || port?.unit === undefined
        ? null
        : String(port.unit);
  return { ...base, truth, same: truth !== null && told === truth };
}

/** The port that answers to an end's address: its own, or its host's where software runs on another station. */
function portOf(reader: Reader, end: End): Port | undefined {
  const port = end.port ? reader.get('port', end.port) : undefined;
  const host = reader.get('station', end.station)?.runsOn;
  if (!host || (port && port.address.trim() !== '')) return port;
  const hosts = childrenOf(reader, 'port', host).filter((p) => p.address.trim() !== '');
  return hosts.find((p) => p.network === port?.network) ?? hosts[0] ?? port;
}

function sameAddress(a: string, b: string): boolean {
  const x = parseIpv4(a);
  const y = parseIpv4(b);
  return x.ok && y.ok ? x.value === y.value : a.trim() === b.trim();
}

function ownerOf(reader: Reader, network: string | null, address: string): string | null {
  if (!network) return null;
  const port = childrenOf(reader, 'port', network).find((p) => sameAddress(p.address, address));
  return (port && reader.get('station', port.station)?.name) ?? null;
}
