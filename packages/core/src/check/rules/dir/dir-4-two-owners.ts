import { set } from '../../../change/make.js';
import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const twoOwners: Rule = {
  meta: {
    code: 'DIR 4',
    title: 'One controller owns the outputs of a module',
    source: 'common practice: outputs obey one owner; others listen',
    messages: {
      two: {
        severity: 'blocker',
        headline: '{station}, {module}: {a} and {b} both claim to own it',
        says: ['owner of {module}', '[[owner]] of {module}'],
        consequence:
          'The one that comes first gets the outputs; the other is refused, and the order can change at each start.',
        remedy: 'Let one of them own it; the other may listen to its inputs.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          if (module.outputs === 0) continue;
          const owners = childrenOf(reader, 'landing', module.id).filter((l) => l.role === 'owner');
          const [first, ...more] = owners;
          for (const other of more) {
            yield {
              message: 'two',
              label: 'two owners',
              about: { kind: 'station', id: station.id, name: station.name },
              parties: [{ station: first!.station }, { station: other.station }],
              cells: [
                { kind: 'landing', id: first!.id, path: ['role'] },
                { kind: 'landing', id: other.id, path: ['role'] },
              ],
              params: {
                station: station.name,
                module: moduleName(rack, module),
                a: stationName(reader, first!.station),
                b: stationName(reader, other.station),
              },
              subjects: [module.id, other.id],
            };
          }
        }
      }
    },
  },
  fixes(finding, reader) {
    return finding.cells.flatMap((cell) => {
      const landing = reader.get('landing', cell.id);
      if (!landing) return [];
      const label = `${stationName(reader, landing.station)}: owner → listener`;
      return [{ label, changes: [set('landing', landing, ['role'], 'listener')] }];
    });
  },
};
