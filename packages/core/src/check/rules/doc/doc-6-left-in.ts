import type { Rule } from '../../rule.js';
import { routeName } from '../rou/route-report.js';
import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';

export const leftIn: Rule = {
  meta: {
    code: 'DOC 6',
    title: 'What was added for a visit is removed again',
    source: 'common practice: what is left in a project is taken for part of the plant',
    messages: {
      helper: {
        severity: 'hint',
        headline: '{helper} is still in the project of {b}, for {route}',
        says: ['found in the project of {b}: [[{helper}]] as {drawn}', 'needed for {route} only'],
        consequence: 'Whoever opens that project next takes it for a station of the plant.',
        remedy: 'Take it out when the work is done.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      for (const helper of childrenOf(reader, 'helper', route.id)) {
        if (helper.presence !== 'found') continue;
        const name = (id: string) => reader.get('station', id)?.name ?? '';
        yield {
          message: 'helper',
          label: 'left in',
          about: { kind: 'route', id: route.id, name: routeName(reader, route) },
          parties: [{ station: helper.station }, { station: route.from }],
          cells: [{ kind: 'helper', id: helper.id, path: ['presence'] }],
          params: {
            helper: name(helper.standsFor),
            b: name(helper.station),
            drawn: helper.drawnAs || 'something',
            route: routeName(reader, route),
          },
          subjects: [helper.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const helper = reader.get('helper', finding.cells[0]?.id ?? '');
    return helper ? [{ label: 'taken out', changes: [set('helper', helper, ['presence'], 'removed')] }] : [];
  },
};
