import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';
import type { Rule } from '../../rule.js';

export const cadenceTooShort: Rule = {
  meta: {
    code: 'TIM 1',
    title: 'The cadence is not shorter than the pass of a program that takes part',
    source: 'common practice: a program sees and sets data once in a pass; more often is work for nothing',
    messages: {
      scan: {
        severity: 'doubt',
        headline: '{exchange}: every {cadence} ms, and the program of {a} takes {scan} ms for a pass',
        says: ['a pass every [[{scan} ms]]'],
        consequence: 'The same values go several times; those in between are lost.',
        remedy: 'Set the cadence to {scan} ms or more.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const { cadence } = exchange;
      if (!cadence) return;
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const station = reader.get('station', end.station);
        if (!station?.scan || station.scan <= cadence) continue;
        yield {
          message: 'scan',
          label: 'cadence',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: station.id, end: end.id }],
          cells: [
            { kind: 'exchange', id: exchange.id, path: ['cadence'] },
            { kind: 'station', id: station.id, path: ['scan'] },
          ],
          params: {
            ...{ exchange: exchange.name, a: station.name },
            ...{ cadence: String(cadence), scan: String(station.scan) },
          },
          subjects: [end.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    const scan = Number(finding.params.scan);
    if (!exchange) return [];
    return [
      {
        label: `${exchange.name}: ${finding.params.cadence} ms → ${scan} ms`,
        changes: [set('exchange', exchange, ['cadence'], scan)],
      },
    ];
  },
};
