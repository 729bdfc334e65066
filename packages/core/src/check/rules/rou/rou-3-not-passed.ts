import { hasOwnRule, routeReport, stopOf } from './route-report.js';
import type { Rule } from '../../rule.js';

export const notPassed: Rule = {
  meta: {
    code: 'ROU 3',
    title: 'What lies between passes this kind of traffic',
    source: 'common practice: a request goes only where each station on the way passes it on',
    messages: {
      blocked: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'What is typed at {a} leads to a station that does not hand it on.',
        remedy: 'Choose another way, or another kind of traffic.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'ROU 3' || !hasOwnRule(route, first.condition)) return;
      const { must, found, cell } = first.condition;
      yield routeReport(reader, route, 'blocked', 'not passed', { hop: String(first.hop + 1), must, found }, cell);
    },
  },
};
