import { routeReport, stopOf } from './route-report.js';
import type { Rule } from '../../rule.js';

export const noWayBack: Rule = {
  meta: {
    code: 'ROU 9',
    title: 'What is asked finds its way back',
    source: 'RFC 1122, 3.3.1: a host answers through its own gateway',
    messages: {
      back: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {must}; {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'The request arrives, and the reply has no route back.',
        remedy: 'Type the address of the router at the far end as its gateway.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'ROU 9') return;
      const { must, found, cell } = first.condition;
      yield routeReport(reader, route, 'back', 'way back', { hop: String(first.hop + 1), must, found }, cell);
    },
  },
};
