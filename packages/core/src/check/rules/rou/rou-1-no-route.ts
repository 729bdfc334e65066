import { put, set } from '../../../change/make.js';
import { orderAfter } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Route } from '../../../model/route.js';
import { findRoutes } from '../../../route/find-routes.js';
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
      otherPort: {
        severity: 'blocker',
        headline: '{route}: no way for {traffic} over {port}; over {other} there is one',
        says: ['{a} asks over [[{port}]]', '{b} is reached over [[{other}]]'],
        consequence: 'No station answers; the tool says that none is seen.',
        remedy: 'Choose {other} at {a}.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      const stop = stopOf(reader, route);
      if (!stop || hasOwnRule(route, stop.first?.condition)) return;
      const other = otherPortOf(reader, route);
      if (other) {
        const params = { port: portWords(reader, route.port!), other: portWords(reader, other) };
        const cell = { kind: 'route' as const, id: route.id, path: ['port'] };
        yield routeReport(reader, route, 'otherPort', 'own port', params, cell);
        return;
      }
      yield routeReport(reader, route, 'none', 'no route', { why: stop.why }, stop.first?.condition.cell);
    },
  },
  fixes(finding, reader) {
    const route = reader.get('route', finding.about.id);
    if (!route) return [];
    const other = finding.message === 'otherPort' ? otherPortOf(reader, route) : null;
    if (other) return [{ label: `by ${portWords(reader, other)}`, changes: [set('route', route, ['port'], other)] }];
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

/** Where a port was chosen by which there is no way: the one by which there is. */
function otherPortOf(reader: Reader, route: Route): string | null {
  if (route.port === null) return null;
  const { found } = findRoutes(reader, { ...route, port: null }, 1);
  return found[0]?.hops[0]?.fromPort ?? null;
}

/** A port by its name, else by its network. */
function portWords(reader: Reader, id: string): string {
  const port = reader.get('port', id);
  const network = port?.network ? reader.get('network', port.network)?.name : undefined;
  return port?.name.trim() || (network ? `the port on ${network}` : 'a port without a network');
}
