import { formatType } from '../../../data/types.js';
import { readable } from '../../../model/as-typed.js';
import type { TypeRef } from '../../../model/claim.js';
import { laneReport, valueCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const textTooLong: Rule = {
  meta: {
    code: 'SIZ 7',
    title: 'A text is no longer than its station takes',
    source: 'the limit of the profile, with its source',
    messages: {
      text: {
        severity: 'blocker',
        headline: '{lane}: {value} is {type} at {a}, which takes {most} characters',
        says: ['{value}: [[{type}]]; its type takes {most} characters ({source})'],
        consequence: 'The rest of the text is cut off, or the text refused.',
        remedy: 'Declare at most {most} characters at both ends.',
      },
    },
  },
  on: {
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
            params: { value: name, type: formatType(type), most: String(limit.value), source: limit.source },
            subjects: [side.claim.id, key],
          });
        }
      }
    },
  },
};
