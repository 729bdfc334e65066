import { set } from '../../../change/make.js';
import { namedTag } from '../../../lane/named-tag.js';
import { bindingOf } from '../../../lane/places-of.js';
import { childrenOf } from '../../../model/order.js';
import { NEAR_WORDS } from '../../../text/near.js';
import { nearest } from '../../../tags/match/match.js';
import { tagOf } from '../../../place/open-of.js';
import { caseMattersBetween, parseTagPlace, tagsOf } from '../../../place/tag-place.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Fix, Rule } from '../../rule.js';

export const nameNotFound: Rule = {
  meta: {
    code: 'NAM 4',
    title: 'A point that is bound by its exact name is there at the other end',
    source: 'common practice: where names bind, one letter in another case leaves the point without a value',
    yieldsAtCell: ['NAM 2'],
    messages: {
      missing: {
        severity: 'blocker',
        headline: '{lane}: {a} looks for {name}, and {b} has no such tag{near}',
        says: ['looks for [[{name}]]', '[[{has}]]'],
        consequence: 'The point stays without a value, and no error is reported.',
        remedy: 'Give it the same name at both ends, to the letter.',
      },
      elsewhere: {
        severity: 'blocker',
        headline: '{lane}: {a} looks for {name}, and {b} says of this lane that it is {has}',
        says: ['looks for [[{name}]]', 'has [[{has}]] for it'],
        consequence: 'Another value arrives than the one that is meant.',
        remedy: 'Name the tag that the lane is of, or bind the lane to the tag that is named.',
      },
      required: {
        severity: 'blocker',
        headline: '{name} of {a} is required, and {b} has no such tag{near}',
        says: ['[[{name}]] is required', '[[{has}]]'],
        consequence: 'The point stays without a value, and no error is reported.',
        remedy: 'Make the tag at {b}, or say why the point is not used.',
      },
      notUsed: {
        severity: 'hint',
        headline: '{name} of {a} is declared not used, and {b} has no such tag{near}',
        says: ['[[{name}]]: not used, {reason}', '[[{has}]]'],
        consequence: 'None, as long as that is so.',
        remedy: 'Nothing, or make the tag when it is needed.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { lane, exchange, sides } = comparison;
      const bound = bindingOf(exchange, lane);
      if (bound && bound !== 'by name') return;
      for (const caller of sides) {
        for (const other of sides) {
          const named = other === caller ? null : namedTag(context.reader, exchange, lane, caller, other);
          if (named?.by !== 'by name' || (!named.fault && named.elsewhere === null)) continue;
          const [near] = named.fault ? nearest(named.text, named.fault.names, 1) : [];
          const [tag, theirs] = [tagOf(context.reader, caller.claim), tagOf(context.reader, other.claim)];
          yield laneReport(context, comparison, {
            message: named.fault ? 'missing' : 'elsewhere',
            label: near ? NEAR_WORDS[near.kind] : named.fault ? 'name not found' : 'another tag',
            sides: [caller, other],
            cells: [
              named.isDefault && tag ? { kind: 'tag', id: tag.id, path: ['name'] } : claimCell(caller, 'toldPlace'),
              claimCell(other, 'place'),
              ...(theirs ? [{ kind: 'tag', id: theirs.id, path: ['name'] } as const] : []),
            ],
            params: {
              name: named.text,
              near: near ? `; it has ${near.name}: ${NEAR_WORDS[near.kind]}` : '',
              has: named.elsewhere ?? near?.name ?? 'no such tag',
            },
            subjects: [caller.claim.id, other.claim.id],
          });
        }
      }
    },
    *exchange(exchange, { reader }) {
      if (exchange.kind !== 'tag map' || exchange.binding !== 'by name') return;
      const ends = childrenOf(reader, 'end', exchange.id);
      for (const end of ends.filter((e) => e.calling === 'calls')) {
        const station = reader.get('station', end.station);
        const others = ends.filter((e) => e.id !== end.id).flatMap((e) => reader.get('station', e.station) ?? []);
        if (!station || others.length === 0) continue;
        for (const tag of tagsOf(reader, station.id)) {
          if (tag.internal || (!tag.required && !tag.notUsed) || reader.referrers('claim', tag.id).length > 0) continue;
          const exact = caseMattersBetween(reader, station, ...others);
          if (others.some((other) => parseTagPlace(reader, other.id, tag.name, exact)?.ok)) continue;
          const [other] = others;
          const [near] = nearest(
            tag.name,
            tagsOf(reader, other!.id).map((t) => t.name),
            1,
          );
          yield {
            message: tag.notUsed ? 'notUsed' : 'required',
            label: 'name not found',
            about: { kind: 'exchange', id: exchange.id, name: exchange.name },
            parties: [{ station: station.id, end: end.id }, { station: other!.id }],
            cells: [{ kind: 'tag', id: tag.id, path: ['name'] }],
            params: {
              a: station.name,
              b: other!.name,
              name: tag.name,
              reason: tag.notUsed?.reason ?? '',
              near: near ? `; it has ${near.name}: ${NEAR_WORDS[near.kind]}` : '',
              has: near?.name ?? 'no such tag',
            },
            subjects: [exchange.id, tag.id],
          };
        }
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message !== 'missing' && finding.message !== 'elsewhere') return [];
    const [first, second] = finding.cells;
    const other = reader.get('claim', second?.id ?? '');
    const theirs = other && tagOf(reader, other);
    const { name = '', a = '', b = '', has = '' } = finding.params;
    const fixes: Fix[] = [];
    // The other end's own tag takes the name that is looked for; or this end looks for the name that is there.
    if (theirs && finding.message === 'missing' && !/^[\d%]/.test(name)) {
      fixes.push({ label: `${b}: rename ${theirs.name} to ${name}`, changes: [set('tag', theirs, ['name'], name)] });
    }
    const mine = first?.kind === 'tag' ? reader.get('tag', first.id) : reader.get('claim', first?.id ?? '');
    const to = theirs?.name ?? (has === 'no such tag' ? '' : has);
    if (first && mine && to !== '') {
      const what = first.kind === 'tag' ? `rename ${name} to ${to}` : `look for ${to}`;
      fixes.push({ label: `${a}: ${what}`, changes: [set(first.kind, mine, first.path, to)] });
    }
    return fixes;
  },
};
