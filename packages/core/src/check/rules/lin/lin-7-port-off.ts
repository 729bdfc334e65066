import { set } from '../../../change/make.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import type { Role } from '../../../model/words.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import type { Reader } from '../../../model/project.js';
import { readAddressesOf } from '../../../wiring/port-addresses.js';
import { fewOf } from '../../few-of.js';
import type { Cell, Finding } from '../../../finding/finding.js';
import { portCell, portName, stationName } from '../../port-words.js';
import type { Fix, Rule } from '../../rule.js';

export const portOff: Rule = {
  meta: {
    code: 'LIN 7',
    title: 'An exchange has a port at each end, attached, addressed, enabled and meant for it',
    source: 'common practice: a port can be switched off, or be set aside for one purpose',
    messages: {
      disabled: {
        severity: 'blocker',
        headline: '{exchange}: the port of {a} is not enabled',
        says: ['{a}: [[not enabled]]'],
        consequence: 'Nothing passes through it.',
        remedy: 'Enable the port, or choose another one for this exchange.',
      },
      purpose: {
        severity: 'blocker',
        headline: '{exchange}: the port of {a} is set to {purpose} only',
        says: ['{a}: [[{purpose}]] only'],
        consequence: 'It carries no data of an exchange.',
        remedy: 'Set its purpose to general, or choose another port for this exchange.',
      },
      service: {
        severity: 'blocker',
        headline: '{exchange}: {protocol} is switched off at {a}, where it {role}',
        says: ['{a}: {protocol}, {role}: [[switched off]]'],
        consequence: 'The device is there and does not answer in this protocol.',
        remedy: 'Switch it on at {a}, or choose another port.',
      },
      noPort: {
        severity: 'doubt',
        headline: '{exchange}: no port of {a} is chosen',
        says: ['port of {a}: [[not chosen]]'],
        consequence: 'By what address {a} is reached, and whether it is, is not known.',
        remedy: 'Choose the port of {a} that this exchange goes through.',
      },
      unattached: {
        severity: 'doubt',
        headline: '{exchange}: the port of {a} is on no network',
        says: ['port of {a}: [[on no network]]'],
        consequence: 'Whether anything reaches it is not known.',
        remedy: 'Attach it to the network that this exchange runs on.',
      },
      noAddress: {
        severity: 'doubt',
        headline: '{exchange}: the port of {a} has no address',
        says: ['address of {a}: [[not set]]'],
        consequence: 'It can call nobody, and nobody can call it.',
        remedy: 'Give it an address in the subnet of its network, or say that it gets one automatically.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const port = end.port ? reader.get('port', end.port) : undefined;
        const message = wrongAt(reader, exchange, end);
        if (!message) continue;
        // What is wrong with a port is told once, however many exchanges go through it.
        const alike = port ? endsAlike(reader, port, message, exchange, end) : [end];
        if (alike[0]!.id !== end.id) continue;
        const names = fewOf(alike.map((one) => reader.get('exchange', one.exchange)?.name ?? ''));
        const chosen = alike.map((one): Cell => ({ kind: 'end', id: one.id, path: ['port'] }));
        yield {
          message,
          label: LABELS[message],
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: end.station, end: end.id }],
          cells: [...(port && message !== 'noPort' ? [portCell(port, CELL_OF[message])] : []), ...chosen],
          params: {
            exchange: names,
            purpose: port?.purpose ?? '',
            a: port ? portName(reader, port) : stationName(reader, end.station),
            protocol: protocolAt(exchange, end).name,
            role: end.calling ?? 'takes part',
          },
          subjects: [end.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port) return [];
    if (finding.message === 'service') {
      const end = reader.get('end', finding.cells[1]!.id);
      const exchange = end && reader.get('exchange', end.exchange);
      const off = { ...port.off };
      if (exchange) delete off[protocolAt(exchange, end).id];
      const rest = Object.keys(off).length === 0 ? undefined : off;
      const { a, protocol } = finding.params;
      return [{ label: `${a}: switch ${protocol} on`, changes: [set('port', port, ['off'], rest)] }];
    }
    if (finding.message !== 'disabled' && finding.message !== 'purpose') return [];
    const own =
      finding.message === 'disabled'
        ? { label: `${finding.params.a}: enable the port`, changes: [set('port', port, ['enabled'], true)] }
        : { label: `${finding.params.a}: purpose → general`, changes: [set('port', port, ['purpose'], 'general')] };
    return [...otherPorts(reader, finding), own];
  },
};

type Fault = 'disabled' | 'purpose' | 'service' | 'unattached' | 'noAddress';
const LABELS: Record<Fault | 'noPort', string> = {
  disabled: 'port off',
  purpose: 'purpose',
  service: 'switched off',
  noPort: 'no port',
  unattached: 'no network',
  noAddress: 'no address',
};
const CELL_OF: Record<Fault, string> = {
  disabled: 'enabled',
  purpose: 'purpose',
  service: 'off',
  unattached: 'network',
  noAddress: 'address',
};

function wrongAt(reader: Reader, exchange: Exchange, end: End): Fault | 'noPort' | null {
  const port = end.port ? reader.get('port', end.port) : undefined;
  if (port) return faultOf(reader, port, exchange, end) ?? missingAt(reader, port, exchange, end);
  return isReachedByPort(reader, end) ? 'noPort' : null;
}

/** The ends that go through this port and of which the same is to be said, in the same protocol where it is about that. */
function endsAlike(reader: Reader, port: Port, message: Fault | 'noPort', exchange: Exchange, end: End): End[] {
  const service = protocolAt(exchange, end).id;
  return childrenOf(reader, 'end', port.id).filter((one) => {
    const its = reader.get('exchange', one.exchange);
    if (!its || wrongAt(reader, its, one) !== message) return false;
    return message !== 'service' || (protocolAt(its, one).id === service && one.calling === end.calling);
  });
}

/** Another port of the same station on the same network, on which nothing is in the way. */
function otherPorts(reader: Reader, finding: Finding): Fix[] {
  const ends = finding.cells.flatMap(({ kind, id }) => (kind === 'end' ? (reader.get('end', id) ?? []) : []));
  const port = ends[0]?.port ? reader.get('port', ends[0].port) : undefined;
  if (!port) return [];
  const suitsAll = (one: Port) =>
    ends.every((end) => {
      const exchange = reader.get('exchange', end.exchange);
      return exchange !== undefined && faultOf(reader, one, exchange, end) === null;
    });
  return childrenOf(reader, 'port', port.station)
    .filter((one) => one.id !== port.id && one.network === port.network && suitsAll(one))
    .map((one) => ({
      label: `${finding.params.a}: through ${one.name || 'the other port'}`,
      changes: ends.map((end) => set('end', end, ['port'], one.id)),
    }));
}

/** Software is reached by its host; of an outside station only what is on paper is known. */
function isReachedByPort(reader: Reader, end: End): boolean {
  const station = reader.get('station', end.station);
  return station !== undefined && !station.runsOn && station.party !== 'outside';
}

/** What is not known of a port yet. An address is asked for where the protocol finds its partners by it. */
function missingAt(reader: Reader, port: Port, exchange: Exchange, end: End): 'unattached' | 'noAddress' | null {
  if (!isReachedByPort(reader, end)) return null;
  if (!port.network) return 'unattached';
  if (reader.get('network', port.network)?.kind !== 'ethernet') return null;
  const byAddress = protocolAt(exchange, end).told.calls.some(
    ({ field, optional }) => field === 'address' && !optional,
  );
  const automatic = port.how === 'automatic';
  return byAddress && !automatic && readAddressesOf(port).length === 0 && port.address.trim() === ''
    ? 'noAddress'
    : null;
}

/**
 * Tools plug in anywhere; which of two ports they should take is said by ADR 17. What an I/O device answers at its I/O port is
 * its I/O, whoever asks for it; what a panel exchanges at its panel port is for the panel, whatever the kind.
 */
function suits(reader: Reader, { purpose }: Port, { kind, transfer }: Exchange, end: End): boolean {
  if (kind === 'service link' || purpose === 'general') return true;
  if (purpose === 'programming') return false;
  const is = (role: Role) => reader.get('station', end.station)?.roles.includes(role) ?? false;
  if (purpose === 'panel') return kind === 'tag map' || is('operator panel');
  if (end.calling === 'listens' && is('remote I/O head')) return true;
  return kind !== 'tag map' && (kind !== 'peer connection' || transfer === 'cyclic blocks' || end.calling === null);
}

function faultOf(reader: Reader, port: Port, exchange: Exchange, end: End): Fault | null {
  if (!port.enabled) return 'disabled';
  if (!suits(reader, port, exchange, end)) return 'purpose';
  const off = port.off?.[protocolAt(exchange, end).id]?.roles ?? [];
  return end.calling && off.includes(end.calling) ? 'service' : null;
}
