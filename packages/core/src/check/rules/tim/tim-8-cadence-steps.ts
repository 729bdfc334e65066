import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import type { Rule } from '../../rule.js';

export const cadenceNotPossible: Rule = {
  meta: {
    code: 'TIM 8',
    title: 'An interval is one that the protocol can keep',
    source: 'the intervals of each protocol, see its file',
    messages: {
      step: {
        severity: 'blocker',
        headline: '{exchange}: {protocol} of {a} has no interval of {cadence} ms',
        says: ['every [[{cadence} ms]]; {protocol} has {steps}'],
        consequence: 'The tool refuses it, or takes another without saying so.',
        remedy: 'Set the interval to {nearest} ms.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const { cadence } = exchange;
      if (!cadence || exchange.transfer !== 'cyclic blocks') return;
      for (const end of childrenOf(reader, 'end', exchange.id)) {
        const { cadences, name } = protocolAt(exchange, end);
        const station = reader.get('station', end.station);
        if (!cadences || !station || cadences.has(cadence)) continue;
        yield {
          message: 'step',
          label: 'cadence',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: station.id, end: end.id }],
          cells: [{ kind: 'exchange', id: exchange.id, path: ['cadence'] }],
          params: {
            exchange: exchange.name,
            a: station.name,
            protocol: name,
            cadence: String(cadence),
            steps: cadences.words,
            nearest: String(cadences.nearest(cadence)),
          },
          subjects: [exchange.id],
        };
        return;
      }
    },
  },
  fixes(finding, reader) {
    const exchange = reader.get('exchange', finding.about.id);
    const { nearest } = finding.params;
    if (!exchange) return [];
    const changes = [set('exchange', exchange, ['cadence'], Number(nearest))];
    return [{ label: `${exchange.name}: interval ${nearest} ms`, changes }];
  },
};
