import { set } from '../../../change/make.js';
import { findRoutes } from '../../../route/find-routes.js';
import { portsOf } from '../../../route/ports-of.js';
import { routeReport, stopOf } from './route-report.js';
import type { Report, Rule } from '../../rule.js';

export const ownPortChosen: Rule = {
  meta: {
    code: 'ROU 6',
    title: 'The engineer’s own port is chosen, and lies in the first hop’s subnet or is led there',
    source: 'RFC 1122, 3.3.1: a host sends to its own network directly, and else through a gateway',
    yieldsAtCell: ['ADR 2', 'ADR 3'],
    messages: {
      open: {
        severity: 'blocker',
        headline: '{route}: the port by which {a} asks is not set',
        says: ['{a} has {count} ports, and [[none is chosen]]', '{b} is reached by one of them'],
        consequence: 'The tool tries the one that it finds first, on the wrong network perhaps.',
        remedy: 'Choose the port of {a} that leads there.',
      },
      outside: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {must}; {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'Not even the first station is reached.',
        remedy: 'Give the port an address in that subnet, or a gateway that leads there.',
      },
    },
  },
  on: {
    *route(route, { reader }): Generator<Report> {
      const from = reader.get('station', route.from);
      const ports = from ? portsOf(reader, from) : [];
      if (from?.roles.includes('workstation') && route.port === null && ports.length > 1) {
        const cell = { kind: 'route' as const, id: route.id, path: ['port'] };
        yield routeReport(reader, route, 'open', 'own port', { count: String(ports.length) }, cell);
        return;
      }
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'ROU 6') return;
      const { must, found, cell } = first.condition;
      yield routeReport(reader, route, 'outside', 'own port', { hop: String(first.hop + 1), must, found }, cell);
    },
  },
  fixes(finding, reader) {
    const route = finding.message === 'open' ? reader.get('route', finding.about.id) : undefined;
    const port = route && findRoutes(reader, route, 1).found[0]?.hops[0]?.fromPort;
    if (!route || !port) return [];
    return [
      { label: `by ${reader.get('port', port)?.name || 'that port'}`, changes: [set('route', route, ['port'], port)] },
    ];
  },
};
