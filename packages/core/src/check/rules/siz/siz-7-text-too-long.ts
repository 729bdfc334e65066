import { DEFAULT_CAPACITY, formatType } from '../../../data/types.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Route } from '../../../model/route.js';
import type { Tag } from '../../../model/tag.js';
import { routeName } from '../rou/route-report.js';
import { readable } from '../../../model/as-typed.js';
import type { TypeRef } from '../../../model/claim.js';
import { counted } from '../../few-of.js';
import { laneReport, valueCell } from '../../lane-report.js';
import type { Report, Rule } from '../../rule.js';

const chars = counted('character');

export const textTooLong: Rule = {
  meta: {
    code: 'SIZ 7',
    title: 'A text is no longer than its station takes',
    source: 'the limit of the profile, with its source',
    messages: {
      built: {
        severity: 'blocker',
        headline: '{route}: {text} has {length}, and {tag}, from which it is built, holds {most}',
        says: ['{tag} of {a}: [[{most}]]; {text}: [[{length}]]'],
        consequence: 'The end of the text is cut off, and it leads nowhere, or to another station.',
        remedy: 'Declare {tag} with {length} at least.',
      },
      text: {
        severity: 'blocker',
        headline: '{lane}: {value} is {type} at {a}, which takes {most}',
        says: ['{value}: [[{type}]]; its type takes {most} ({source})'],
        consequence: 'The rest of the text is cut off, or the text refused.',
        remedy: 'Declare at most {most} at both ends.',
      },
    },
  },
  on: {
    *route(route, { reader }): Generator<Report> {
      const tag = route.built && tagNamedIn(reader, route, route.built.from);
      const type = readable(tag?.type);
      if (!tag || type?.base !== 'STRING') return;
      const most = type.capacity ?? DEFAULT_CAPACITY;
      for (const [key, { text }] of Object.entries(route.built!.permitted)) {
        const length = [...text.trim()].length;
        if (length <= most) continue;
        yield {
          message: 'built',
          label: 'text too long',
          about: { kind: 'route', id: route.id, name: routeName(reader, route) },
          parties: [{ station: route.from }],
          cells: [
            { kind: 'route', id: route.id, path: ['built', 'permitted', key, 'text'] },
            { kind: 'tag', id: tag.id, path: ['type'] },
          ],
          params: {
            route: routeName(reader, route),
            a: reader.get('station', route.from)?.name ?? '',
            tag: tag.name,
            text: text.trim(),
            length: chars(length),
            most: chars(most),
          },
          subjects: [route.id, key],
        };
      }
    },
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const profile = side.station.profile ? context.reader.get('profile', side.station.profile) : undefined;
        const limit = profile?.limits.characters;
        if (!limit) continue;
        const texts: [string, string, TypeRef | null][] = Object.entries(side.claim.items).map(([key, item]) => [
          key,
          item.name,
          readable(item.type),
        ]);
        if (texts.length === 0) texts.push(['', side.claim.name, readable(side.claim.type)]);
        for (const [key, name, type] of texts) {
          if ((type?.base !== 'STRING' && type?.base !== 'WSTRING') || (type.capacity ?? 0) <= limit.value) continue;
          yield laneReport(context, comparison, {
            message: 'text',
            label: 'text too long',
            sides: [side],
            ...(key ? { item: key } : {}),
            cells: [valueCell(side, key, 'type')],
            params: { value: name, type: formatType(type), most: chars(limit.value), source: limit.source },
            subjects: [side.claim.id, key],
          });
        }
      }
    },
  },
};

/** The tag of the station that asks, where what the text is built from names one: `the tag Partner_Address`. */
function tagNamedIn(reader: Reader, { from }: Route, words: string): Tag | undefined {
  const named = new Set(words.toLowerCase().split(/[^\p{L}\p{N}_.]+/u));
  return childrenOf(reader, 'tag', from).find(({ name }) => named.has(name.toLowerCase()));
}
