import type { Rule } from '../../rule.js';
import { routeName } from '../rou/route-report.js';
import { childrenOf } from '../../../model/order.js';
import { set } from '../../../change/make.js';
import { setBack } from '../../../fields/setting-back.js';
import { plannedOf } from '../../../setting/planned.js';

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
      thing: {
        severity: 'hint',
        headline: '{what}: {sort} since {since}, by {by}',
        says: ['[[{what}]]'],
        consequence: 'Handed over like that, it is taken for part of the plant.',
        remedy: '{undo}, or take it off under Site, Temporary.',
      },
      adapter: {
        severity: 'hint',
        headline: '{what} of {a} is to be set back to {was}',
        says: ['{a} had [[{was}]] before'],
        consequence: 'The computer does not find its own network again.',
        remedy: 'Set it back when the work is done.',
      },
    },
  },
  on: {
    *project(_, { all }) {
      for (const thing of all('temporary')) {
        yield {
          message: 'thing',
          label: 'temporary',
          about: { kind: 'temporary', id: thing.id, name: thing.what },
          parties: thing.station ? [{ station: thing.station }] : [],
          cells: [{ kind: 'temporary', id: thing.id, path: ['what'] }],
          params: {
            what: thing.what,
            sort: thing.sort,
            since: thing.at.slice(0, 10),
            by: thing.by || 'somebody',
            undo: thing.undo || 'Undo it',
          },
          subjects: [thing.id],
        };
      }
    },
    *station(station, { reader }) {
      for (const setting of childrenOf(reader, 'setting', station.id)) {
        if (!setting.was) continue;
        yield {
          message: 'adapter',
          label: 'to set back',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'setting', id: setting.id, path: ['was'] }],
          params: {
            a: station.name,
            what: plannedOf(reader, setting.field)?.what ?? 'something',
            was: setting.was,
          },
          subjects: [setting.id],
        };
      }
    },
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
    const id = finding.cells[0]?.id ?? '';
    if (finding.message === 'adapter') {
      const [, port = ''] = (reader.get('setting', id)?.field ?? '').split(' ');
      const adapter = reader.get('port', port);
      const changes = adapter ? setBack(reader, adapter) : null;
      const setting = reader.get('setting', id);
      const stays = setting
        ? (['was', 'wasOn'] as const).map((field) => set('setting', setting, [field], undefined))
        : [];
      return [
        ...(changes ? [{ label: `set back to ${finding.params.was}`, changes }] : []),
        { label: 'it stays: what it had before is forgotten', changes: stays },
      ];
    }
    const helper = reader.get('helper', id);
    return helper ? [{ label: 'taken out', changes: [set('helper', helper, ['presence'], 'removed')] }] : [];
  },
};
