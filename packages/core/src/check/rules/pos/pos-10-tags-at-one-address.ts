import { formatSpan } from '../../../address/format-address.js';
import { memoryOf } from '../../../address/memory.js';
import { resolve } from '../../../address/resolve.js';
import { elementary } from '../../../data/types.js';
import { readable } from '../../../model/as-typed.js';
import { childrenOf } from '../../../model/order.js';
import type { Tag } from '../../../model/tag.js';
import type { Rule } from '../../rule.js';

export const tagsAtOneAddress: Rule = {
  meta: {
    code: 'POS 10',
    title: 'Two tags stand at one address only where one is an alias of the other',
    source: 'common practice: two names for one place are forgotten of each other',
    messages: {
      twice: {
        severity: 'doubt',
        headline: '{a}: {first} and {second} are both at {address}',
        says: ['[[{first}]] and [[{second}]] at {address}'],
        consequence: 'What is set by the one name changes under the other.',
        remedy: 'Move one of them, or enter {first} as the alias of {second}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      const byPlace = new Map<string, { tag: Tag; address: string }[]>();
      for (const tag of childrenOf(reader, 'tag', station.id)) {
        const place = readable(tag.place);
        const memory = place && memoryOf(reader, place.area);
        const type = readable(tag.type);
        const bits = type && elementary(type.base) ? elementary(type.base)!.bits * type.count : 0;
        if (!place || !memory || bits === 0) continue;
        const spans = resolve(memory, place, place.bit !== undefined && bits === 1 ? 1 : Math.max(bits, 1));
        if (!spans?.[0]) continue;
        const key = `${place.area} ${spans.map((s) => `${s.start}-${s.end}`).join(' ')}`;
        const list = byPlace.get(key) ?? [];
        byPlace.set(key, list);
        list.push({ tag, address: formatSpan(memory, spans[0]) });
      }
      for (const [first, ...others] of byPlace.values()) {
        for (const second of others) {
          if (isAlias(first!.tag, second.tag)) continue;
          yield {
            message: 'twice',
            label: 'one address',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [second.tag, first!.tag].map((tag) => ({ kind: 'tag', id: tag.id, path: ['place'] })),
            params: { a: station.name, first: first!.tag.name, second: second.tag.name, address: second.address },
            subjects: [first!.tag.id, second.tag.id],
          };
        }
      }
    },
  },
};

const isAlias = (a: Tag, b: Tag): boolean => a.alias?.trim() === b.name || b.alias?.trim() === a.name;
