import { set } from '../../../change/make.js';
import type { Comparison } from '../../../lane/compare.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { openOf, tagOf } from '../../../place/open-of.js';
import type { Side } from '../../../lane/side.js';
import { fewOf } from '../../few-of.js';
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
    yieldsTo: ['DIR 1'],
    messages: {
      closed: {
        ...SHARED,
        headline: '{lane}: closed to others at {owner}, and {user} {does} it',
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
        headline: '{lane}: {user} {does} it, and {owner} lets others only read it',
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
        const users = comparison.sides.filter((user) => {
          // Of partners that are chosen from at run time none has to do with another.
          if (user === owner || (user.end.permitted && owner.end.permitted)) return false;
          return local || open !== 'may read' || setsIt(user);
        });
        // One that is closed is so for all: those that only read it, and those that set it.
        for (const sets of [true, false]) {
          const alike = users.filter((user) => setsIt(user) === sets);
          const [user] = alike;
          if (!user) continue;
          const pair = inPageOrder(comparison, owner, user);
          const verb = sets ? 'set' : 'read';
          const words = (side: typeof owner) =>
            side !== owner
              ? `${verb}s`
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
              ...alike.map((one) => claimCell(one, 'direction')),
            ],
            params: {
              owner: owner.station.name,
              user: fewOf(alike.map((one) => one.station.name)),
              does: alike.length > 1 ? verb : `${verb}s`,
              aSays: words(pair[0]!),
              bSays: words(pair[1]!),
            },
            subjects: [owner.claim.id, ...alike.map((one) => one.claim.id)],
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
    const open = finding.params.does?.startsWith('set') || finding.message === 'readOnly' ? 'may set' : 'may read';
    const label = `${finding.params.owner}: others ${open}`;
    return [{ label, changes: [set(cell.kind, holder, ['open'], open)] }];
  },
};

const setsIt = ({ claim }: Side): boolean => claim.direction === 'writes' || claim.direction === 'both';

/** Variables are found by name where the protocol carries values; by address no program hides them. */
const named = ({ exchange }: Comparison): boolean => protocolOf(exchange).carries(exchange.transfer) === 'values';
