import { childrenOf } from '../../../model/order.js';
import { fewOf } from '../../few-of.js';
import type { Report, Rule } from '../../rule.js';
import type { Station } from '../../../model/station.js';
import type { Tag } from '../../../model/tag.js';

export const aliases: Rule = {
  meta: {
    code: 'NAM 7',
    title: 'Where tags have names for people, each has one of its own',
    source: 'common practice: people find a point by the name that stands beside it',
    messages: {
      missing: {
        severity: 'hint',
        headline: '{a}: {count} of {all} tags without an alias, where the others have one: {names}',
        says: ['[[no alias]]: {names}'],
        consequence: 'People see the internal tag name there.',
        remedy: 'Type an alias, or mark the tag as internal.',
      },
      twice: {
        severity: 'hint',
        headline: '{a}: {count} tags have the alias {alias}: {names}',
        says: ['[[{alias}]] stands beside {names}'],
        consequence: 'People take one for the other.',
        remedy: 'Give each an alias of its own.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const tags = childrenOf(reader, 'tag', station.id).filter(isSeen);
      const named = tags.filter((tag) => tag.alias);
      if (named.length === 0) return;
      const without = tags.filter((tag) => !tag.alias);
      if (without.length > 0) {
        yield report('missing', station, without, { all: String(tags.length), alias: '' });
      }
      const byAlias = new Map<string, Tag[]>();
      for (const tag of named) {
        const key = tag.alias!.trim().toLowerCase();
        byAlias.set(key, [...(byAlias.get(key) ?? []), tag]);
      }
      for (const same of byAlias.values()) {
        if (same.length > 1) yield report('twice', station, same, { all: '', alias: same[0]!.alias! });
      }
    },
  },
};

/** Whether anybody but its own program sees it: people know a point by its alias, and nobody looks into a program. */
const isSeen = (tag: Tag): boolean => !tag.internal && !tag.notUsed && !tag.program?.trim() && tag.open !== 'closed';

const report = (message: string, station: Station, tags: Tag[], params: Record<string, string>): Report => ({
  message,
  label: 'alias',
  about: { kind: 'station', id: station.id, name: station.name },
  parties: [{ station: station.id }],
  cells: tags.slice(0, 50).map((tag) => ({ kind: 'tag', id: tag.id, path: ['alias'] })),
  params: {
    a: station.name,
    count: String(tags.length),
    ...params,
    names: fewOf(tags.map((tag) => tag.name)),
  },
  subjects: [station.id, params.alias ?? ''],
});
