import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
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
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const port = end.port ? reader.get('port', end.port) : undefined;
        if (!port || (port.enabled && port.purpose !== 'programming')) continue;
        yield {
          message: port.enabled ? 'purpose' : 'disabled',
          label: port.enabled ? 'purpose' : 'port off',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: end.station, end: end.id }],
          cells: [portCell(port, port.enabled ? 'purpose' : 'enabled'), { kind: 'end', id: end.id, path: ['port'] }],
          params: { exchange: exchange.name, a: portName(reader, port), purpose: port.purpose },
          subjects: [end.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const port = reader.get('port', finding.cells[0]!.id);
    if (!port) return [];
    return finding.message === 'disabled'
      ? [{ label: `${finding.params.a}: enable the port`, changes: [set('port', port, ['enabled'], true)] }]
      : [{ label: `${finding.params.a}: purpose → general`, changes: [set('port', port, ['purpose'], 'general')] }];
  },
};
