import { put, set } from '../../../change/make.js';
import { childrenOf, orderAfter } from '../../../model/order.js';
import { broughtAlong, networkWords } from '../../../route/helper-facts.js';
import { wantedHelpers } from '../../../route/helpers.js';
import { routeReport } from './route-report.js';
import type { Report, Rule } from '../../rule.js';

export const helperObject: Rule = {
  meta: {
    code: 'ROU 10',
    title: 'A placeholder station that a route needs in a far project is there, as what it stands for',
    source: 'common practice: a tool goes only through what its own project knows',
    messages: {
      missing: {
        severity: 'doubt',
        headline: '{route}: {helper} has to be added to the project of {b} as a placeholder, and is not planned',
        says: ['{a} goes through {helper}', 'the project of {b} knows [[no {helper}]]'],
        consequence: 'The tool of {b} does not offer the way, though the wires are there.',
        remedy: 'Add it there as a {drawn} at {address}, and remove it when the work is done.',
      },
      differs: {
        severity: 'doubt',
        headline: '{route}: {helper} stands in the project of {b} at {stated}; its address is {address}',
        says: ['placeholder at [[{stated}]]', '{helper} is at [[{address}]]'],
        consequence: 'The tool looks for it where nothing is.',
        remedy: 'Give it there the address of what it stands for.',
      },
      imported: {
        severity: 'doubt',
        headline: '{route}: {helper} brings {brought} into the project of {b}, which has {own}',
        says: ['comes along: [[{brought}]]', 'there already: [[{own}]]'],
        consequence: 'An address then means two stations there, and the tool goes to one of them.',
        remedy: 'Give one of the two networks another subnet, or add no placeholder and go there directly.',
      },
      collides: {
        severity: 'doubt',
        headline: '{route}: {helper} stands in the project of {b} at {address}, and so does {other}',
        says: ['{helper} at [[{address}]]', '{other} at [[{address}]]'],
        consequence: 'The tool of {b} refuses the second, or takes one for the other.',
        remedy: 'Keep one placeholder for both, and remove the other.',
      },
    },
  },
  on: {
    *route(route, { reader }): Generator<Report> {
      const name = (id: string) => reader.get('station', id)?.name ?? '';
      for (const wanted of wantedHelpers(reader, route)) {
        const { standsFor, drawnAs, address, known } = wanted;
        const params = { helper: name(standsFor), drawn: drawnAs, address };
        for (const { network, meets } of broughtAlong(reader, wanted)) {
          if (!meets || known?.presence === 'removed') continue;
          const clash = { ...params, brought: networkWords(network), own: networkWords(meets) };
          const cell = { kind: 'network' as const, id: meets.id, path: ['subnet'] };
          yield {
            ...routeReport(reader, route, 'imported', 'placeholder station', clash, cell),
            subjects: [route.id, network.id, meets.id],
          };
        }
        // Taken out again, the visit is over: nothing is missing until the next.
        if (known?.presence === 'removed') continue;
        if (!known) yield routeReport(reader, route, 'missing', 'placeholder station', params);
        else if (known.address.trim() !== address) {
          const cell = { kind: 'helper' as const, id: known.id, path: ['address'] };
          yield routeReport(
            reader,
            route,
            'differs',
            'placeholder station',
            { ...params, stated: known.address || 'nothing' },
            cell,
          );
        } else {
          const other = childrenOf(reader, 'helper', known.station).find(
            (h) =>
              h.id !== known.id &&
              h.station === known.station &&
              h.standsFor !== standsFor &&
              h.address.trim() === address,
          );
          if (other) {
            const cell = { kind: 'helper' as const, id: known.id, path: ['address'] };
            yield routeReport(
              reader,
              route,
              'collides',
              'placeholder station',
              { ...params, other: name(other.standsFor) },
              cell,
            );
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    const route = reader.get('route', finding.about.id);
    const [wanted] = route ? wantedHelpers(reader, route) : [];
    if (!route || !wanted || finding.message === 'collides' || finding.message === 'imported') return [];
    const { station, standsFor, drawnAs, address, known } = wanted;
    if (known) return [{ label: `placeholder at ${address}`, changes: [set('helper', known, ['address'], address)] }];
    const order = orderAfter(childrenOf(reader, 'helper', route.id));
    const helper = { id: `${route.id}-helper`, order, station, standsFor, route: route.id, drawnAs, address };
    return [
      { label: `plan it as a ${drawnAs} at ${address}`, changes: [put('helper', { ...helper, presence: 'planned' })] },
    ];
  },
};
