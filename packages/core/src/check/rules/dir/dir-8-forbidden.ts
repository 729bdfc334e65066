import { childrenOf } from '../../../model/order.js';
import { readable } from '../../../model/as-typed.js';
import { set } from '../../../change/make.js';
import type { Rule } from '../../rule.js';

export const forbidden: Rule = {
  meta: {
    code: 'DIR 8',
    title: 'A station lets others do with its data what its exchanges need',
    source: 'common practice: many stations refuse reading or setting from outside until they are told otherwise',
    messages: {
      forbidden: {
        severity: 'blocker',
        headline: '{exchange}: {a} lets others do {allowed} only, and {b} needs {needed}',
        says: ['lets others do: [[{allowed}]]', 'needs [[{needed}]]'],
        consequence: '{a} refuses the requests of {b}.',
        remedy: 'Allow {needed} at {a}, or let {a} send the data itself.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      if (exchange.transfer !== 'requests' && exchange.kind !== 'shared variables') return;
      const ends = childrenOf(reader, 'end', exchange.id);
      for (const end of ends) {
        const station = reader.get('station', end.station);
        const allowed = station?.fromOutside;
        if (!station || !allowed || end.calling !== 'listens' || allowed === 'reading and setting') continue;
        for (const caller of ends) {
          if (caller.calling !== 'calls') continue;
          const directions = childrenOf(reader, 'claim', caller.id).map((c) => readable(c.direction));
          const sets = directions.some((d) => d === 'writes' || d === 'both');
          const reads = directions.some((d) => d === 'reads' || d === 'both');
          if (!sets && !(reads && allowed === 'nothing')) continue;
          yield {
            message: 'forbidden',
            label: 'not allowed',
            about: { kind: 'exchange', id: exchange.id, name: exchange.name },
            parties: [
              { station: station.id, end: end.id },
              { station: caller.station, end: caller.id },
            ],
            cells: [{ kind: 'station', id: station.id, path: ['fromOutside'] }],
            params: {
              exchange: exchange.name,
              a: station.name,
              allowed,
              needed: sets ? 'setting' : 'reading',
              b: reader.get('station', caller.station)?.name ?? '',
            },
            subjects: [end.id, caller.id],
          };
        }
      }
    },
  },
  fixes(finding, reader) {
    const station = reader.get('station', finding.cells[0]?.id ?? '');
    const wanted = finding.params.needed === 'setting' ? 'reading and setting' : 'reading';
    if (!station) return [];
    return [{ label: `${station.name}: allow ${wanted}`, changes: [set('station', station, ['fromOutside'], wanted)] }];
  },
};
