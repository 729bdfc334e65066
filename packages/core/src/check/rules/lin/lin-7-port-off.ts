import { set } from '../../../change/make.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Port } from '../../../model/port.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const portOff: Rule = {
  meta: {
    code: 'LIN 7',
    title: 'A port that an exchange needs is enabled, and meant for it',
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
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const port = end.port ? reader.get('port', end.port) : undefined;
        const message = port ? faultOf(port, exchange, end) : null;
        if (!port || !message) continue;
        yield {
          message,
          label: LABELS[message],
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: end.station, end: end.id }],
          cells: [portCell(port, CELL_OF[message]), { kind: 'end', id: end.id, path: ['port'] }],
          params: {
            ...{ exchange: exchange.name, a: portName(reader, port), purpose: port.purpose },
            ...{ protocol: protocolAt(exchange, end).name, role: end.calling ?? 'takes part' },
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
    return finding.message === 'disabled'
      ? [{ label: `${finding.params.a}: enable the port`, changes: [set('port', port, ['enabled'], true)] }]
      : [{ label: `${finding.params.a}: purpose → general`, changes: [set('port', port, ['purpose'], 'general')] }];
  },
};

type Fault = 'disabled' | 'purpose' | 'service';
const LABELS: Record<Fault, string> = { disabled: 'port off', purpose: 'purpose', service: 'switched off' };
const CELL_OF: Record<Fault, string> = { disabled: 'enabled', purpose: 'purpose', service: 'off' };

/** Tools plug in anywhere; which of two ports they should take is said by ADR 17. */
function suits({ purpose }: Port, { kind, transfer }: Exchange, end: End): boolean {
  if (kind === 'service link' || purpose === 'general') return true;
  if (purpose === 'programming') return false;
  if (purpose === 'panel') return kind === 'tag map';
  return kind !== 'tag map' && (kind !== 'peer connection' || transfer === 'cyclic blocks' || end.calling === null);
}

function faultOf(port: Port, exchange: Exchange, end: End): Fault | null {
  if (!port.enabled) return 'disabled';
  if (!suits(port, exchange, end)) return 'purpose';
  const off = port.off?.[protocolAt(exchange, end).id]?.roles ?? [];
  return end.calling && off.includes(end.calling) ? 'service' : null;
}
