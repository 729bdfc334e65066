import { parseIpv4 } from '../address/ipv4.js';
import { cpuSlotOf } from '../hardware/cpu-slot.js';
import type { End } from '../model/end.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import type { NetworkKind, ToldFieldName } from '../model/words.js';
import { protocolOf } from '../protocol/catalogue.js';
import type { Protocol, ToldField } from '../protocol/protocol.js';

/** The word of each in a sentence. */
export const TOLD_WORDS: Record<ToldFieldName, string> = {
  address: 'address',
  tcpPort: 'TCP port',
  unit: 'unit',
  node: 'node address',
  telemetry: 'telemetry address',
  name: 'device name',
  slot: 'slot of the CPU',
  type: 'type',
};

/** One thing that an end was told about another, beside what is so. */
export interface ToldValue {
  field: ToldFieldName;
  other: End;
  /** as typed, or the protocol's default; empty: not told */
  told: string;
  isDefault: boolean;
  /** may stay empty */
  optional: boolean;
  /** null: not known yet */
  truth: string | null;
  same: boolean;
  /** the told address is one that the other station once had */
  former: boolean;
  /** the told address is that of another station on the same network */
  belongsTo: string | null;
  /** what is so may be another tomorrow: the other's address is given to it anew each time */
  automatic: boolean;
}

/** Everything that this end must be told by its protocol and role, compared with the other ends' own ports. */
export function toldFields(reader: Reader, exchange: Exchange, end: End): ToldValue[] {
  if (!end.calling) return [];
  const protocol = protocolOf(exchange);
  const fields = protocol.told[end.calling];
  if (fields.length === 0) return [];
  return childrenOf(reader, 'end', exchange.id)
    .filter((other) => other.id !== end.id)
    .flatMap((other) => {
      const port = portOf(reader, other);
      const medium = port?.network ? reader.get('network', port.network)?.kind : undefined;
      return fields
        .filter((field) => isAsked(field, medium, end.told[other.id]?.[field.field]))
        .map((field) => toldValue(reader, protocol, end, other, port, field));
    });
}

const isAsked = ({ on }: ToldField, medium: NetworkKind | undefined, typed: string | undefined): boolean =>
  on === undefined || (typed ?? '').trim() !== '' || on.includes(medium ?? 'ethernet');

function toldValue(
  reader: Reader,
  protocol: Protocol,
  end: End,
  other: End,
  port: Port | undefined,
  { field, fallback, optional = false }: ToldField,
): ToldValue {
  const typed = end.told[other.id]?.[field]?.trim() ?? '';
  const told = typed || (fallback ?? '');
  const isDefault = typed === '' && told !== '';
  const truth = truthOf(reader, protocol, other, port, field);
  const same = truth !== null && isSame(reader, other, field, told, truth);
  const automatic = field === 'address' && port?.how === 'automatic';
  const base = { field, other, told, isDefault, optional, truth, same, automatic, former: false, belongsTo: null };
  if (field !== 'address' || same || !port) return base;
  const former = port.former.some((address) => sameAddress(address, told));
  return { ...base, former, belongsTo: former ? null : ownerOf(reader, port.network, told) };
}

function truthOf(
  reader: Reader,
  protocol: Protocol,
  other: End,
  port: Port | undefined,
  field: ToldFieldName,
): string | null {
  const station = reader.get('station', other.station);
  switch (field) {
    case 'address':
    case 'node':
    case 'telemetry':
      return port?.[field]?.trim() || null;
    case 'name':
      return port?.deviceName?.trim() || null;
    case 'tcpPort':
      return port ? String(port.listens[protocol.id]?.tcpPort ?? protocol.tcpPort ?? '') || null : null;
    case 'unit':
      return port?.unit === null || port?.unit === undefined ? null : String(port.unit);
    case 'slot':
      return station ? cpuSlotOf(reader, station) : null;
    case 'type':
      return station ? (typesOf(reader, station)[0] ?? null) : null;
  }
}

function isSame(reader: Reader, other: End, field: ToldFieldName, told: string, truth: string): boolean {
  if (field === 'address') return sameAddress(told, truth);
  if (field === 'name') return told.toLowerCase() === truth.toLowerCase();
  if (field !== 'type') return told === truth || (/^\d+$/.test(told) && Number(told) === Number(truth));
  const station = reader.get('station', other.station);
  return station !== undefined && typesOf(reader, station).some((type) => type.toLowerCase() === told.toLowerCase());
}

/** What a station may be entered as elsewhere: its type, what it acts as, its order code, the name of its profile. */
export function typesOf(reader: Reader, station: Station): string[] {
  const profile = station.profile ? reader.get('profile', station.profile)?.name : undefined;
  const others = (station.actsAs ?? '').split(',');
  return [station.typeText, ...others, station.orderCode, profile].flatMap((type) => type?.trim() || []);
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
