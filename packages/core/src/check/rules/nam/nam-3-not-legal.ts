import { itemFacts } from '../../../lane/item-facts.js';
import { identifierFault } from '../../../place/identifier.js';
import { childrenOf } from '../../../model/order.js';
import { counted } from '../../few-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Report, Rule } from '../../rule.js';

const chars = counted('character');

export const nameNotLegal: Rule = {
  meta: {
    code: 'NAM 3',
    title: 'A name is one that its station takes',
    source: 'the name rule of the station’s profile, with the source that stands there',
    messages: {
      long: {
        severity: 'blocker',
        headline: '{lane}: {name} has {has}, {a} takes {longest}',
        says: ['[[{name}]] has {has}; names have {longest} at most ({source})'],
        consequence: 'The station refuses the name or cuts it, and then it is another.',
        remedy: 'Shorten it to {most}.',
      },
      form: {
        severity: 'blocker',
        headline: '{lane}: {name} is no name at {a}: {fault}',
        says: ['[[{name}]]: {fault}; names are letters, digits and single underscores ({source})'],
        consequence: 'The station refuses the name.',
        remedy: 'Write it with a letter first, then letters, digits and single underscores.',
      },
      longTag: {
        severity: 'blocker',
        headline: '{a}: tag {name} has {has}, {a} takes {longest}',
        says: ['[[{name}]] has {has}; names have {longest} at most ({source})'],
        consequence: 'The station refuses the name or cuts it, and then it is another.',
        remedy: 'Shorten it to {most}.',
      },
      longStation: {
        severity: 'blocker',
        headline: 'The name {a} has {has}, and a station of its type takes {longest}',
        says: ['[[{name}]] has {has}; names have {longest} at most ({source})'],
        consequence: 'It is cut when it is typed there, and is then another than the one that others have entered.',
        remedy: 'Shorten it to {most}.',
      },
      formTag: {
        severity: 'blocker',
        headline: '{a}: {name} is no name of a tag: {fault}',
        says: ['[[{name}]]: {fault}; names are letters, digits and single underscores ({source})'],
        consequence: 'The station refuses the name.',
        remedy: 'Write it with a letter first, then letters, digits and single underscores.',
      },
    },
  },
  on: {
    *station(station, { reader }): Iterable<Report> {
      const profile = station.profile ? reader.get('profile', station.profile) : undefined;
      if (!profile) return;
      const { longest = Infinity, form, source } = profile.nameRule;
      const own = [...station.name].length;
      if (own > longest) {
        yield {
          message: 'longStation',
          label: 'name too long',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'station', id: station.id, path: ['name'] }],
          params: {
            a: station.name,
            name: station.name,
            has: chars(own),
            longest: String(longest),
            most: chars(longest),
            source,
          },
          subjects: [station.id, 'name'],
        };
      }
      for (const { id, name } of childrenOf(reader, 'tag', station.id)) {
        const length = name.length <= longest ? name.length : [...name].length;
        const fault = form === 'identifier' && name !== '' ? identifierFault(name) : null;
        if (length <= longest && fault === null) continue;
        yield {
          message: length > longest ? 'longTag' : 'formTag',
          label: length > longest ? 'name too long' : 'name not legal',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'tag', id, path: ['name'] }],
          params: {
            a: station.name,
            name,
            has: chars(length),
            longest: String(longest),
            most: chars(longest),
            source,
            fault: fault ?? '',
          },
          subjects: [id],
        };
      }
    },
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const profile = side.station.profile ? context.reader.get('profile', side.station.profile) : undefined;
        if (!profile) continue;
        const { longest = Infinity, form, source } = profile.nameRule;
        // A name has no more characters than code units: only where one is long are they counted.
        if (form !== 'identifier' && itemFacts(side.claim).longestName <= longest) continue;
        for (const [key, { name }] of Object.entries(side.claim.items)) {
          const length = [...name].length;
          const fault = form === 'identifier' && name !== '' ? identifierFault(name) : null;
          if (length <= longest && fault === null) continue;
          yield laneReport(context, comparison, {
            message: length > longest ? 'long' : 'form',
            label: length > longest ? 'name too long' : 'name not legal',
            sides: [side],
            item: key,
            cells: [claimCell(side, 'items', key, 'name')],
            params: {
              name,
              has: chars(length),
              longest: String(longest),
              most: chars(longest),
              source,
              fault: fault ?? '',
            },
            subjects: [side.claim.id, key],
          });
        }
      }
    },
  },
};
