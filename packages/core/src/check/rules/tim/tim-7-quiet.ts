import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

const WORDS = { keepAlive: 'keep-alive time', inactivity: 'inactivity time' };

export const closedWhileQuiet: Rule = {
  meta: {
    code: 'TIM 7',
    title: 'A connection is not closed or probed while it is only quiet',
    source: 'common practice: a connection that is quiet between two requests is not lost',
    messages: {
      quiet: {
        severity: 'doubt',
        headline: '{exchange}: {what} {time} ms, and a request comes every {cadence} ms',
        says: ['{what} [[{time} ms]], interval {cadence} ms'],
        consequence: 'The connection is closed, or probed, between two requests; each then sets it up anew.',
        remedy: 'Set the {what} to {proposed} ms or more.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const { cadence } = exchange;
      for (const field of ['keepAlive', 'inactivity'] as const) {
        const time = exchange[field];
        if (!cadence || !time || time > cadence) continue;
        yield {
          message: 'quiet',
          label: WORDS[field],
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
          cells: [{ kind: 'exchange', id: exchange.id, path: [field] }],
          params: {
            exchange: exchange.name,
            what: WORDS[field],
            time: String(time),
            cadence: String(cadence),
            proposed: String(cadence * 3),
          },
          subjects: [exchange.id, field],
        };
      }
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    const [cell] = finding.cells;
    if (!exchange || !cell) return [];
    const { what, proposed } = finding.params;
    return [{ label: `${what} ${proposed} ms`, changes: [set('exchange', exchange, cell.path, Number(proposed))] }];
  },
};
