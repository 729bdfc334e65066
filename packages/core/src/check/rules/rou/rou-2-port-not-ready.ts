import { routeReport, stopOf } from './route-report.js';
import type { Rule } from '../../rule.js';

export const hopNotReady: Rule = {
  meta: {
    code: 'ROU 2',
    title: 'Each port on the way is attached, enabled and addressed',
    source: 'common practice: what is off or has no address does not answer',
    yieldsAtCell: ['LIN 7', 'ADR 2', 'ADR 3'],
    messages: {
      off: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {must}; {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'The route ends at this hop.',
        remedy: 'Enable the port, or give it its address, under Stations.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'ROU 2') return;
      const { must, found, cell } = first.condition;
      yield routeReport(reader, route, 'off', 'port', { hop: String(first.hop + 1), must, found }, cell);
    },
  },
};
