import { accepts, parseAccepted } from '../../../rack/revisions.js';
import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const widened: Rule = {
  meta: {
    code: 'HWS 6',
    title: 'Accepted revisions are not opened until they fit',
    source: 'common practice: a range that takes anything no longer finds the wrong module',
    messages: {
      any: {
        severity: 'doubt',
        headline: '{b} accepts any revision of {a}',
        says: ['{a}{found}', 'accepts [[any]]'],
        consequence: 'A module of another make, or one that behaves otherwise, is accepted without a message.',
        remedy:
          'Enter the revisions that were tested; others of the same first figure only where the supplier says that they fit.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          for (const landing of childrenOf(reader, 'landing', module.id)) {
            const range = parseAccepted(landing.accepted);
            if (!range.ok || range.value !== 'any') continue;
            const found = (module.found?.revision ?? '').trim();
            yield {
              message: 'any',
              label: 'any revision',
              about: { kind: 'station', id: station.id, name: station.name },
              parties: [{ station: station.id }, { station: landing.station }],
              cells: [{ kind: 'landing', id: landing.id, path: ['accepted'] }],
              params: {
                station: station.name,
                a: moduleName(rack, module),
                b: stationName(reader, landing.station),
                found: found !== '' && accepts(range.value, found) ? `, revision ${found}` : '',
              },
              subjects: [landing.id],
            };
          }
        }
      }
    },
  },
};
