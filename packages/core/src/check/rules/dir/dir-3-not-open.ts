import { set } from '../../../change/make.js';
import type { Comparison } from '../../../lane/compare.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { openOf, tagOf } from '../../../tags/open-of.js';
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
      local: {
        ...SHARED,
        headline: '{lane}: at {owner} it is local to one program, and {user} {does} it',
        says: ['{aName}: [[{aSays}]]', '{bName}: [[{bSays}]]'],
        consequence: 'It does not exist for {user}.',
        remedy: 'Make it a global variable at {owner}, or take it out at {user}.',
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
        const open = openOf(context.reader, owner.claim);
        const tag = tagOf(context.reader, owner.claim);
        const local = comparison.exchange.transfer !== 'requests' || named(comparison) ? tag?.program : undefined;
        if (!local && (!open || open === 'may set')) continue;
        for (const user of comparison.sides) {
          if (user === owner) continue;
          const sets = user.claim.direction === 'writes' || user.claim.direction === 'both';
          if (!local && open === 'may read' && !sets) continue;
          const pair = inPageOrder(comparison, owner, user);
          const does = sets ? 'sets' : 'reads';
          const words = (side: typeof owner) =>
            side !== owner
              ? does
              : local
                ? `local to ${local}`
                : open === 'closed'
                  ? 'closed to others'
                  : 'others may read it';
          yield laneReport(context, comparison, {
            message: local ? 'local' : open === 'closed' ? 'closed' : 'readOnly',
            label: local ? 'local' : open === 'closed' ? 'closed' : 'read only',
            sides: pair,
            cells: [
              tag ? { kind: 'tag', id: tag.id, path: [local ? 'program' : 'open'] } : claimCell(owner, 'open'),
              claimCell(user, 'direction'),
            ],
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
    const [cell] = finding.cells;
    const holder = cell && (cell.kind === 'tag' ? reader.get('tag', cell.id) : reader.get('claim', cell.id));
    if (!cell || !holder) return [];
    if (finding.message === 'local') {
      const label = `${finding.params.owner}: global`;
      return [{ label, changes: [set('tag', holder, ['program'], undefined)] }];
    }
    const open = finding.params.does === 'sets' || finding.message === 'readOnly' ? 'may set' : 'may read';
    const label = `${finding.params.owner}: others ${open}`;
    return [{ label, changes: [set(cell.kind, holder, ['open'], open)] }];
  },
};

/** Variables are found by name where the protocol carries values; by address no program hides them. */
const named = ({ exchange }: Comparison): boolean => protocolOf(exchange).carries(exchange.transfer) === 'values';
