import { put } from '../../../change/make.js';
import { orderAfter } from '../../../model/order.js';
import { hasOwnRule, routeReport, stopOf } from './route-report.js';
import type { Rule } from '../../rule.js';

export const noRoute: Rule = {
  meta: {
    code: 'ROU 1',
    title: 'There is a way from the station that asks to the one that is asked',
    source: 'common practice: a request goes only where each station on the way passes it on',
    messages: {
      none: {
        severity: 'blocker',
        headline: '{route}: no way for {traffic}; {why}',
        says: ['{a} asks for [[{traffic}]]', '{b}: {why}'],
        consequence: 'No station answers; the tool says that none is seen.',
        remedy:
          'Put something between them that passes {traffic}, or drop the route and say that {b} must not be reached.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const stop = stopOf(reader, route);
      if (!stop || hasOwnRule(route, stop.first?.condition)) return;
      yield routeReport(reader, route, 'none', 'no route', { why: stop.why }, stop.first?.condition.cell);
    },
  },
  fixes(finding, reader) {
    const route = reader.get('route', finding.about.id);
    if (!route) return [];
    const { id, from, to, traffic } = route;
    const expectation = {
      id: `${id}-not`,
      order: orderAfter([route]),
      from,
      to,
      traffic,
      must: 'must not reach' as const,
    };
    const drop = { kind: 'route' as const, id, path: [], before: route as never };
    return [
      {
        label: `drop the route; ${finding.params.b} must not be reached`,
        changes: [drop, put('expectation', expectation)],
      },
    ];
  },
};
