import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const description: Rule = {
  meta: {
    code: 'HWS 10',
    title: 'A description file is there, and of the device’s version',
    source: 'common practice: a controller’s tool knows a foreign device by its description file',
    messages: {
      version: {
        severity: 'doubt',
        headline: '{b} has the description {told} of {a}; the device’s is {own}',
        says: ['{a}, description {own}', 'description [[{told}]]'],
        consequence: 'Sizes and parameters may be those of another version.',
        remedy: 'Bring the description {own} in at {b}, and enter the device anew with it.',
      },
      missing: {
        severity: 'doubt',
        headline: '{b} has no description of {a}; the device’s is {own}',
        says: ['{a}, description {own}', '[[none]]'],
        consequence: 'The device cannot be entered there.',
        remedy: 'Bring the description {own} in at {b}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          const own = (module.description ?? '').trim();
          if (own === '') continue;
          for (const landing of childrenOf(reader, 'landing', module.id)) {
            const told = (landing.description ?? '').trim();
            if (told === own || landing.station === station.id) continue;
            yield {
              message: told === '' ? 'missing' : 'version',
              label: 'description',
              about: { kind: 'station', id: station.id, name: station.name },
              parties: [{ station: station.id }, { station: landing.station }],
              cells: [{ kind: 'landing', id: landing.id, path: ['description'] }],
              params: {
                station: station.name,
                a: moduleName(rack, module),
                b: stationName(reader, landing.station),
                own,
                told,
              },
              subjects: [landing.id],
            };
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    const landing = reader.get('landing', finding.cells[0]!.id);
    if (!landing) return [];
    const { b, told, own } = finding.params;
    return [{ label: `${b}: ${told || 'none'} → ${own}`, changes: [set('landing', landing, ['description'], own)] }];
  },
};
