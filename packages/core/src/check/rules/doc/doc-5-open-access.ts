import type { Rule } from '../../rule.js';

export const openAccess: Rule = {
  meta: {
    code: 'DOC 5',
    title: 'No default password, and not open to all',
    source: 'IEC 62443-3-3, SR 1.5: default authenticators are changed at installation; from memory',
    messages: {
      open: {
        severity: 'doubt',
        headline: '{a}: {what}',
        says: ['{a}: [[{what}]]'],
        consequence: 'Whoever reaches its port can change it.',
        remedy: 'Set a password of its own before handover, and enter that here.',
      },
    },
  },
  on: {
    *station(station) {
      if (station.guard !== 'default password' && station.guard !== 'open') return;
      yield {
        message: 'open',
        label: 'access',
        about: { kind: 'station', id: station.id, name: station.name },
        parties: [{ station: station.id }],
        cells: [{ kind: 'station', id: station.id, path: ['guard'] }],
        params: {
          a: station.name,
          what: station.guard === 'open' ? 'access open to all' : 'still the default password',
        },
        subjects: [station.id],
      };
    },
  },
};
