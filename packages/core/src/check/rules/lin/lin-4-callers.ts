import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { portCell, portName } from '../../port-words.js';
import type { Report, Rule } from '../../rule.js';

export const callers: Rule = {
  meta: {
    code: 'LIN 4',
    title: 'One calls on a serial line, the others answer',
    source: 'Modbus over Serial Line V1.02, 2.1: one master at a time is connected to the bus',
    messages: {
      several: {
        severity: 'blocker',
        headline: '{network}: {a} and {b} both call',
        says: ['calls', '[[calls]]'],
        consequence: 'Both send at once and their frames collide.',
        remedy: 'Let one of them answer, or give it a line of its own.',
      },
      none: {
        severity: 'blocker',
        headline: '{network}: nobody calls',
        says: ['{list}: all [[answer]]'],
        consequence: 'All wait to be asked; nothing is ever sent.',
        remedy: 'Say which port calls.',
      },
    },
  },
  on: {
    *network(network, { reader }): Generator<Report> {
      if (network.kind !== 'serial line') return;
      const about = { kind: 'network', id: network.id, name: network.name } as const;
      const ports = childrenOf(reader, 'port', network.id).filter((p) => p.lineRole !== undefined);
      const calling = ports.filter((p) => p.lineRole === 'calls');
      if (ports.length > 1 && calling.length === 0) {
        yield {
          message: 'none',
          label: 'nobody calls',
          about,
          parties: ports.map((p) => ({ station: p.station })),
          cells: ports.map((p) => portCell(p, 'lineRole')),
          params: { network: network.name, list: ports.map((p) => portName(reader, p)).join(', ') },
          subjects: [network.id],
        };
      }
      const [first, ...more] = calling;
      for (const port of more) {
        yield {
          message: 'several',
          label: 'two callers',
          about,
          parties: [{ station: first!.station }, { station: port.station }],
          cells: [portCell(port, 'lineRole'), portCell(first!, 'lineRole')],
          params: { network: network.name, a: portName(reader, first!), b: portName(reader, port) },
          subjects: [port.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message !== 'several') return [];
    return finding.cells.flatMap((cell) => {
      const port = reader.get('port', cell.id);
      if (!port) return [];
      const label = `${portName(reader, port)}: calls → answers`;
      return [{ label, changes: [set('port', port, ['lineRole'], 'answers')] }];
    });
  },
};
