import { childrenOf } from '../../../model/order.js';
import type { Landing } from '../../../model/landing.js';
import { fewOf } from '../../few-of.js';
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
      others: {
        severity: 'doubt',
        headline: '{a} does not own {module} in its own rack; {b} does',
        says: ['the modules are in its rack; it claims [[{role}]]', 'owner'],
        consequence: 'What the program of {a} sets there does nothing, and a stop of {b} stops the modules.',
        remedy: 'Say so at both, or let {a} own them.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      if (!station.roles.includes('controller')) return;
      const byOwner = new Map<string, { owner: Landing; own: Landing | undefined; name: string }[]>();
      for (const { rack, modules } of racksOf(reader, station.id)) {
        for (const module of modules) {
          const landings = childrenOf(reader, 'landing', module.id);
          const owner = landings.find((l) => l.role === 'owner');
          const own = landings.find((l) => l.station === station.id);
          if (!owner || owner.station === station.id || own?.role === 'owner') continue;
          const name = moduleName(rack, module);
          byOwner.set(owner.station, [...(byOwner.get(owner.station) ?? []), { owner, own, name }]);
        }
      }
      // That another station owns some of them is one decision, however many they are.
      for (const [owner, modules] of byOwner) {
        const roles = new Set(modules.map(({ own }) => own?.role ?? 'nothing'));
        yield {
          message: modules.length === 1 ? 'other' : 'others',
          label: 'not its own',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }, { station: owner }],
          cells: modules.map(({ owner: landing }) => ({ kind: 'landing', id: landing.id, path: ['role'] })),
          params: {
            a: station.name,
            module: fewOf(modules.map(({ name }) => name)),
            b: stationName(reader, owner),
            role: [...roles].join(' or '),
          },
          subjects: [station.id, owner],
        };
      }
    },
  },
};
