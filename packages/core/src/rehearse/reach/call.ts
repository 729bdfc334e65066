import type { End, Told } from '../../model/end.js';
import type { Exchange } from '../../model/exchange.js';
import { childrenOf } from '../../model/order.js';
import type { Port } from '../../model/port.js';
import type { Reader } from '../../model/project.js';
import type { Station } from '../../model/station.js';
import { protocolAt } from '../../protocol/catalogue.js';
import type { Protocol } from '../../protocol/protocol.js';
import { inSlot } from '../../rack/program-slot.js';
import { listeningOn } from '../../wiring/listening.js';
import { numberOf } from '../../wiring/numbers-on.js';
import { answering } from './answering.js';
import { byDeviceName } from './by-device-name.js';
import { byIp, onOneComputer } from './by-ip.js';
import { byNumber } from './by-number.js';
import { lineFault } from './line.js';

/** What became of a call: who answers it, and with which of its ends; or the hop that stopped it. */
export type Call = { ok: true; station: Station; end: End | null } | { ok: false; why: string };

const NOTHING: Told = { address: '', tcpPort: '', unit: '' };
const stop = (why: string): Call => ({ ok: false, why });

/**
 * A call as the caller makes it, from what it was told of the other and nothing else: the request goes to whoever has that
 * address, and he answers or does not.
 */
export function callOf(reader: Reader, exchange: Exchange, caller: End, other: End): Call {
  const station = reader.get('station', caller.station);
  const meant = reader.get('station', other.station);
  if (!station || !meant) return stop('the station is gone');
  const protocol = protocolAt(exchange, caller);
  const told = caller.told[other.id] ?? NOTHING;
  if (station.id !== meant.id && onOneComputer(reader, station, meant) && protocol.media.includes('ethernet')) {
    return taken(reader, exchange, caller, meant, told);
  }
  const port = caller.port ? reader.get('port', caller.port) : undefined;
  if (!port) return stop(`${station.name} has no port for it`);
  if (!port.enabled) return stop(`the port of ${station.name} is not enabled`);
  if (port.off?.[protocol.id]?.roles.includes('calls'))
    return stop(`${station.name} has ${protocol.name} switched off`);
  const found = find(reader, port, protocol, told, other);
  if (!found.ok) return stop(`${station.name} calls ${calledBy(told, protocol)}: ${found.why}`);
  const fault = lineFault(reader, port, found.port) ?? answersFault(reader, found.port, protocol, told);
  if (fault) return stop(fault);
  const looks = protocol.told.calls.some(({ field }) => field === 'unit');
  const there = looks ? answering(reader, found.port, Number(told.unit.trim() || '255')) : 'itself';
  const who = there === 'itself' ? reader.get('station', found.port.station) : typeof there === 'string' ? null : there;
  return who ? taken(reader, exchange, caller, who, told) : stop('nobody answers');
}

function find(reader: Reader, port: Port, protocol: Protocol, told: Told, other: End) {
  const kind = (port.network && reader.get('network', port.network)?.kind) || 'ethernet';
  if (kind === 'serial line') {
    return protocol.id === 'dnp3'
      ? byNumber(reader, port, 'telemetry', told.telemetry ?? '')
      : byNumber(reader, port, 'unit', told.unit);
  }
  if (kind === 'token bus') return byNumber(reader, port, 'node', told.node ?? '');
  if (kind === 'radio' && protocol.id === 'dnp3') return byNumber(reader, port, 'telemetry', told.telemetry ?? '');
  const heard = other.port ? reader.get('port', other.port) : undefined;
  if (kind === 'radio') {
    return heard?.network === port.network
      ? { ok: true as const, port: heard! }
      : { ok: false as const, why: 'it is in another radio network' };
  }
  const named = protocol.told.calls.some(({ field, optional }) => field === 'name' && !optional);
  return named ? byDeviceName(reader, port, told.name ?? '') : byIp(reader, port, told.address);
}

const calledBy = (told: Told, protocol: Protocol): string =>
  [told.name, told.address, told.unit && `unit ${told.unit}`, told.node && `node ${told.node}`]
    .filter((text) => text)
    .join(', ') || `its partner by ${protocol.name}`;

/** Why the port that was reached does not answer; null: it does. */
function answersFault(reader: Reader, port: Port, protocol: Protocol, told: Told): string | null {
  const name = reader.get('station', port.station)?.name ?? '';
  if (port.off?.[protocol.id]?.roles.includes('listens')) return `${name} has ${protocol.name} switched off`;
  const kind = (port.network && reader.get('network', port.network)?.kind) || 'ethernet';
  const byNumber = told.telemetry?.trim() ?? '';
  if (protocol.told.calls.some(({ field, optional }) => field === 'telemetry' && !optional)) {
    if (byNumber === '') return 'no telemetry address is entered';
    if (numberOf(port, 'telemetry') !== Number(byNumber))
      return `${name} does not answer to telemetry address ${byNumber}`;
  }
  if (kind !== 'ethernet') return null;
  const asked = told.tcpPort.trim() || (protocol.tcpPort === null ? '' : String(protocol.tcpPort));
  if (asked === '' || protocol.tcpPort === null) return null;
  const listens = listeningOn(reader, port).filter((server) => server.protocol === protocol.id);
  if (listens.some(({ tcpPort }) => String(tcpPort) === asked)) return null;
  return `${name} refuses the connection: it does not listen on TCP port ${asked}`;
}

/** The end with which the station that was reached takes the call: what the references and the slot say has to be there. */
function taken(reader: Reader, exchange: Exchange, caller: End, answering: Station, told: Told): Call {
  const ends = childrenOf(reader, 'end', answering.id).filter(
    (end) => end.calling === 'listens' && reader.get('exchange', end.exchange)?.protocol === exchange.protocol,
  );
  const end = ends.find((one) => one.exchange === exchange.id) ?? ends[0] ?? null;
  const slot = told.slot?.trim() ?? '';
  if (slot !== '') {
    const there = inSlot(reader, answering.id, Number(slot));
    if (there && !there.isCpu) return stop(`slot ${slot} of ${answering.name} holds ${there.name}, which is no CPU`);
  }
  const protocol = protocolAt(exchange, caller);
  for (const field of protocol.references?.fields ?? []) {
    const asked = told[field]?.trim() ?? '';
    const own = end?.references?.[field]?.trim() ?? '';
    if (asked !== '' && own !== '' && asked !== own)
      return stop(`${answering.name} has no ${field} ${asked}; it has ${own}`);
  }
  return { ok: true, station: answering, end };
}
