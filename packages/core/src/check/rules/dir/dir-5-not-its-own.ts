import { childrenOf } from '../../../model/order.js';
import { moduleName, racksOf } from '../../module-words.js';
import { stationName } from '../../port-words.js';
import type { Rule } from '../../rule.js';

export const notItsOwn: Rule = {
  meta: {
    code: 'DIR 5',
    title: 'A module in a controller’s own rack that another controller owns is meant to be so',
    source: 'common practice: whoever reads the rack’s list takes its controller for the owner',
    messages: {
      other: {
        severity: 'doubt',
        headline: '{a} does not own {module} in its own rack; {b} does',
        says: ['the module is in its rack; it claims [[{role}]]', 'owner'],
        consequence: 'What the program of {a} sets there does nothing, and a stop of {b} stops the module.',
        remedy: 'Say so at both, or let {a} own it.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      if (!station.roles.includes('controller')) return;
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          const landings = childrenOf(reader, 'landing', module.id);
          const owner = landings.find((l) => l.role === 'owner');
          const own = landings.find((l) => l.station === station.id);
          if (!owner || owner.station === station.id || own?.role === 'owner') continue;
          yield {
            message: 'other',
            label: 'not its own',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }, { station: owner.station }],
            cells: [{ kind: 'landing', id: owner.id, path: ['role'] }],
            params: {
              a: station.name,
              module: moduleName(rack, module),
              b: stationName(reader, owner.station),
              role: own ? own.role : 'nothing',
            },
            subjects: [module.id],
          };
        }
      }
    },
  },
};
