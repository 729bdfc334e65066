import { set } from '../change/make.js';
import type { Change } from '../change/change.js';
import type { End } from '../model/end.js';
import type { ToldFieldName, NetworkKind } from '../model/words.js';
import { parseIpv4 } from '../wiring/ipv4.js';
import { specialAddress } from '../wiring/special.js';
import { cpuOf, cpuSlotOf } from '../rack/cpu-slot.js';
import { slotsOfRemoteIo } from '../rack/remote-slots.js';
import { looksAtUnit } from '../wiring/looks-at-unit.js';
import type { Cell } from '../finding/finding.js';
import type { Exchange } from '../model/exchange.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { protocolAt } from '../protocol/catalogue.js';
import { onOneComputer } from '../wiring/host-of.js';
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
  connection: 'connection',
  input: 'input instance',
  output: 'output instance',
  configuration: 'configuration instance',
};

/** One thing that an end was told about another, beside what is so. */
export interface ToldValue {
  field: ToldFieldName;
  /** the field's word where it says more here than elsewhere */
  word: string;
  other: End;
  /** what it was told about: the other end's station, or the coupler that stands for it */
  station: string;
  /** as typed, or the protocol's default; empty: not told */
  told: string;
  isDefault: boolean;
  /** may stay empty */
  optional: boolean;
  /** null: not known yet */
  truth: string | null;
  /** where that is set, or is to be set */
  set: Cell;
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
  const protocol = protocolAt(exchange, end);
  const fields = protocol.told[end.calling];
  if (fields.length === 0) return [];
  const ends = childrenOf(reader, 'end', exchange.id);
  // Of several that call, none is told about the others.
  const alike = (other: End) => ends.length > 2 && other.calling === end.calling;
  return ends
    .filter((other) => other.id !== end.id && !alike(other))
    .flatMap((other) => {
      const coupler = exchange.via ? couplerPort(reader, exchange.via, end) : undefined;
      const station = exchange.via ?? other.station;
      const port = exchange.via ? coupler : portOf(reader, other);
      const medium = port?.network ? reader.get('network', port.network)?.kind : undefined;
      return fields
        .filter((field) => isAsked(field, medium, end.told[other.id]?.[field.field]))
        .map((field) => toldValue(reader, exchange, protocol, end, { end: other, station }, port, field));
    });
}

const isAsked = ({ on }: ToldField, medium: NetworkKind | undefined, typed: string | undefined): boolean =>
  on === undefined || (typed ?? '').trim() !== '' || on.includes(medium ?? 'ethernet');

function toldValue(
  reader: Reader,
  exchange: Exchange,
  protocol: Protocol,
  end: End,
  { end: other, station }: { end: End; station: string },
  port: Port | undefined,
  { field, fallback, optional = false }: ToldField,
): ToldValue {
  const typed = end.told[other.id]?.[field]?.trim() ?? '';
  const told = typed || (fallback ?? '');
  const isDefault = typed === '' && told !== '';
  const ofRemoteIo = field === 'slot' && exchange.kind === 'remote I/O';
  const slots = ofRemoteIo ? slotsOfRemoteIo(reader, station, end.station) : [];
  const truth = ofRemoteIo ? (slots[0] ?? null) : truthOf(reader, protocol, station, port, field, other);
  const together = field === 'address' && isLoopback(told) && onOneComputer(reader, end.station, station);
  const anyIsRight = field === 'unit' && port !== undefined && !looksAtUnit(reader, port);
  const same =
    anyIsRight || (truth !== null && (together || slots.includes(told) || isSame(reader, station, field, told, truth)));
  const automatic = field === 'address' && port?.how === 'automatic';
  const base = {
    field,
    word: ofRemoteIo ? 'slot' : TOLD_WORDS[field],
    other,
    station,
    told,
    isDefault,
    optional: optional || anyIsRight,
    truth,
    set: cellOf(reader, { station, other: exchange.via ? end : other, port, field }),
    same,
    automatic,
    former: false,
    belongsTo: null,
  };
  if (field !== 'address' || same || !port) return base;
  const former = port.former.some((address) => sameAddress(address, told));
  return { ...base, former, belongsTo: former ? null : ownerOf(reader, port.network, told) };
}

function truthOf(
  reader: Reader,
  protocol: Protocol,
  stationId: string,
  port: Port | undefined,
  field: ToldFieldName,
  other: End,
): string | null {
  const station = reader.get('station', stationId);
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
    case 'connection':
    case 'input':
    case 'output':
    case 'configuration':
      return other.references?.[field]?.trim() || null;
    case 'type':
      return station ? (typesOf(reader, station)[0] ?? null) : null;
  }
}

/** The cell that says what is so. */
function cellOf(
  reader: Reader,
  { station, other, port, field }: { station: string; other: End; port: Port | undefined; field: ToldFieldName },
): Cell {
  switch (field) {
    case 'connection':
    case 'input':
    case 'output':
    case 'configuration':
      return { kind: 'end', id: other.id, path: ['references', field] };
    case 'slot': {
      const cpu = cpuOf(reader, station);
      return cpu ? { kind: 'module', id: cpu.id, path: ['slot'] } : { kind: 'station', id: station, path: ['name'] };
    }
    case 'type':
      return { kind: 'station', id: station, path: ['typeText'] };
    default: {
      const path = field === 'name' ? 'deviceName' : field === 'tcpPort' ? 'listens' : field;
      return port ? { kind: 'port', id: port.id, path: [path] } : { kind: 'end', id: other.id, path: ['port'] };
    }
  }
}

function isSame(reader: Reader, id: string, field: ToldFieldName, told: string, truth: string): boolean {
  if (field === 'address') return sameAddress(told, truth);
  if (field === 'name') return told.toLowerCase() === truth.toLowerCase();
  if (field !== 'type') return told === truth || (/^\d+$/.test(told) && Number(told) === Number(truth));
  const station = reader.get('station', id);
  return station !== undefined && typesOf(reader, station).some((type) => type.toLowerCase() === told.toLowerCase());
}

/** Through a coupler each end speaks to the coupler's port on its own network only. */
function couplerPort(reader: Reader, via: string, end: End): Port | undefined {
  const own = end.port ? reader.get('port', end.port) : undefined;
  return childrenOf(reader, 'port', via).find((p) => p.network !== null && p.network === own?.network);
}

/** What a station may be entered as elsewhere: its type, what it acts as, its order code, the name of its profile. */
export function typesOf(reader: Reader, station: Station): string[] {
  const profile = station.profile ? reader.get('profile', station.profile)?.name : undefined;
  const others = (station.actsAs ?? '').split(',');
  return [station.typeText, ...others, station.orderCode, profile].flatMap((type) => type?.trim() || []);
}

/** The port that answers to an end's address: its own, or its host's where software runs on another station. */
export function portOf(reader: Reader, end: End): Port | undefined {
  const port = end.port ? reader.get('port', end.port) : undefined;
  const host = reader.get('station', end.station)?.runsOn;
  if (!host || (port && port.address.trim() !== '')) return port;
  const hosts = childrenOf(reader, 'port', host).filter((p) => p.address.trim() !== '');
  return hosts.find((p) => p.network === port?.network) ?? hosts[0] ?? port;
}

function isLoopback(text: string): boolean {
  const address = parseIpv4(text);
  return address.ok && specialAddress(address.value, null) === 'loopback';
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

/** Types into an end what it is told about another. */
export function tell(end: End, other: string, field: ToldFieldName, text: string): Change {
  if (end.told[other]) return set('end', end, ['told', other, field], text);
  return set('end', end, ['told', other], { address: '', tcpPort: '', unit: '', [field]: text });
}
