import { byOrder } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

export const noSupplier: Rule = {
  meta: {
    code: 'DOC 1',
    title: 'Where suppliers are named, every station has one',
    source: 'common practice: somebody must be asked about each end',
    messages: {
      none: {
        severity: 'hint',
        headline: '{a}: no supplier is set',
        says: ['{a}: supplier [[none]]'],
        consequence: 'When its end does not match, it is not clear whom to ask.',
        remedy: 'Name its supplier.',
      },
    },
  },
  on: {
    *project(_, { all }) {
      const stations = [...all('station')].sort(byOrder);
      if (!stations.some((s) => (s.supplier ?? '').trim() !== '')) return;
      for (const station of stations) {
        if ((station.supplier ?? '').trim() !== '') continue;
        yield {
          message: 'none',
          label: 'supplier',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'station', id: station.id, path: ['supplier'] }],
          params: { a: station.name },
          subjects: [station.id],
        };
      }
    },
  },
};
