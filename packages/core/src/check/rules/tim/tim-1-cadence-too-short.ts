import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';
import { fewOf } from '../../few-of.js';
import type { Rule } from '../../rule.js';

export const cadenceTooShort: Rule = {
  meta: {
    code: 'TIM 1',
    title: 'The interval is not shorter than the scan of a program that takes part',
    source: 'common practice: a program sees and sets data once in a scan; more often is work for nothing',
    yieldsAtCell: ['TIM 3'],
    messages: {
      scan: {
        severity: 'doubt',
        headline: '{exchange}: interval {cadence} ms is shorter than the scan of {a}, {scan} ms{more}',
        says: ['a scan every [[{scan} ms]]'],
        consequence: 'The same values go several times; those in between are lost.',
        remedy: 'Set the interval to {scan} ms or more.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const { cadence } = exchange;
      if (!cadence) return;
      const slow = childrenOf(reader, 'end', exchange.id)
        .flatMap((end) => {
          const station = reader.get('station', end.station);
          return station?.scan && station.scan > cadence ? [{ end, station, scan: station.scan }] : [];
        })
        .sort((a, b) => b.scan - a.scan);
      const [slowest] = slow;
      if (slowest) {
        const { end, station } = slowest;
        yield {
          message: 'scan',
          label: 'cadence',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [{ station: station.id, end: end.id }],
          cells: [
            { kind: 'exchange', id: exchange.id, path: ['cadence'] },
            ...slow.map((one) => ({ kind: 'station' as const, id: one.station.id, path: ['scan'] })),
          ],
          params: {
            exchange: exchange.name,
            a: station.name,
            cadence: String(cadence),
            scan: String(slowest.scan),
            more:
              slow.length > 1
                ? `; ${fewOf(slow.slice(1).map((one) => one.station.name))} ${slow.length > 2 ? 'are' : 'is'} too slow for it, too`
                : '',
          },
          subjects: [exchange.id],
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
