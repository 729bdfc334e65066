import { set } from '../../../change/make.js';
import { claimCell, inPageOrder, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

const SHARED = {
  severity: 'blocker',
  remedy: 'Open it at {owner}, if that is meant; else take it out at {user}.',
} as const;

export const notOpen: Rule = {
  meta: {
    code: 'DIR 3',
    title: 'What others take or set is open to them',
    source: 'common practice: a variable is closed to others unless its station opens it, for reading or for setting',
    messages: {
      closed: {
        ...SHARED,
        headline: '{lane}: {owner} keeps it closed, and {user} {does} it',
        says: ['{aName}: [[{aSays}]]', '{bName}: [[{bSays}]]'],
        consequence: '{owner} refuses {user}, or does not show it at all.',
      },
      readOnly: {
        ...SHARED,
        headline: '{lane}: {user} sets it, and {owner} lets others only read it',
        says: ['{aName}: [[{aSays}]]', '{bName}: [[{bSays}]]'],
        consequence: 'What {user} sends is refused.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const owner of comparison.sides) {
        const { open } = owner.claim;
        if (!open || open === 'may set') continue;
        for (const user of comparison.sides) {
          if (user === owner) continue;
          const sets = user.claim.direction === 'writes' || user.claim.direction === 'both';
          if (open === 'may read' && !sets) continue;
          const pair = inPageOrder(comparison, owner, user);
          const does = sets ? 'sets' : 'reads';
          const words = (side: typeof owner) =>
            side !== owner ? does : open === 'closed' ? 'closed to others' : 'others may read it';
          yield laneReport(context, comparison, {
            message: open === 'closed' ? 'closed' : 'readOnly',
            label: open === 'closed' ? 'closed' : 'read only',
            sides: pair,
            cells: [claimCell(owner, 'open'), claimCell(user, 'direction')],
            params: {
              ...{ owner: owner.station.name, user: user.station.name, does },
              ...{ aSays: words(pair[0]!), bSays: words(pair[1]!) },
            },
            subjects: [owner.claim.id, user.claim.id],
          });
        }
      }
    },
  },
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]!.id);
    if (!claim) return [];
    const open = finding.params.does === 'sets' || finding.message === 'readOnly' ? 'may set' : 'may read';
    const label = `${finding.params.owner}: others ${open}`;
    return [{ label, changes: [set('claim', claim, ['open'], open)] }];
  },
};
