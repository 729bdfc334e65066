import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';
import { portCell, portName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const serviceThroughIo: Rule = {
  meta: {
    code: 'ADR 17',
    title: 'Programming is not done through a port that is meant for I/O',
    source: 'common practice: a port for I/O keeps its rhythm; an engineer’s tool on it disturbs that, or is refused',
    messages: {
      through: {
        severity: 'doubt',
        headline: '{exchange}: the port of {a} is meant for I/O',
        says: ['{a}: [[I/O]]'],
        consequence: 'Loading a program or diagnostics takes time from the I/O on that port, or the port refuses it.',
        remedy: 'Use another port of {a}{other}, or accept it with the reason why there is none.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      if (exchange.kind !== 'service link') return;
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const port = end.port ? reader.get('port', end.port) : undefined;
        if (port?.purpose !== 'I/O') continue;
        const other = childrenOf(reader, 'port', port.station).find((p) => p.enabled && p.purpose !== 'I/O');
        yield {
          message: 'through',
          label: 'port for I/O',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: end.station, end: end.id }],
          cells: [{ kind: 'end', id: end.id, path: ['port'] }, portCell(port, 'purpose')],
          params: {
            exchange: exchange.name,
            a: portName(reader, port),
            other: other ? `, as ${other.name || 'the other one'}` : '',
          },
          subjects: [end.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const end = reader.get('end', finding.cells[0]!.id);
    const from = end?.port ? reader.get('port', end.port) : undefined;
    if (!end || !from) return [];
    return childrenOf(reader, 'port', end.station)
      .filter((p) => p.enabled && p.purpose !== 'I/O')
      .map((p) => ({
        label: `${finding.params.a}: through ${p.name || 'the other port'}`,
        changes: [set('end', end, ['port'], p.id)],
      }));
  },
};
