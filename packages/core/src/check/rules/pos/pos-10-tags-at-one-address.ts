import { formatSpan } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { resolve } from '../../../place/resolve.js';
import { elementary } from '../../../data/types.js';
import { readable } from '../../../model/as-typed.js';
import { childrenOf } from '../../../model/order.js';
import type { Tag } from '../../../model/tag.js';
import type { Claim } from '../../../model/claim.js';
import type { Exchange } from '../../../model/exchange.js';
import type { Reader } from '../../../model/project.js';
import { bindingOf } from '../../../lane/places-of.js';
import { fewOf } from '../../few-of.js';
import type { Report, Rule } from '../../rule.js';

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
      rows: {
        severity: 'doubt',
        headline: '{exchange}: {first} of {a} all ask for {address}',
        says: ['{first} ask for [[{address}]]'],
        consequence: 'They show one value; what is set by the one changes under the others.',
        remedy: 'Correct the address of all but one, or leave out those that are there twice.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      if (exchange.kind !== 'tag map') return;
      for (const [address, rows] of rowsByAddress(reader, exchange)) {
        const [first] = rows;
        if (!first || rows.length < 2) continue;
        const names = rows.map(({ name }) => name || 'a row without a name');
        const end = reader.get('end', first.end);
        yield {
          message: 'rows',
          label: 'one address',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          lanes: rows.map(({ lane }) => lane),
          parties: end ? [{ station: end.station, end: end.id }] : [],
          cells: rows.map(({ id }) => ({ kind: 'claim' as const, id, path: ['toldPlace'] })),
          params: {
            exchange: exchange.name,
            first: fewOf(names),
            address,
            a: reader.get('station', end?.station ?? '')?.name ?? '',
          },
          subjects: [exchange.id, first.end, address],
        };
      }
    },
    *station(station, { reader }): Generator<Report> {
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

/** Rows of an end that calls, by what they ask one and the same partner for, as typed. */
function rowsByAddress(reader: Reader, exchange: Exchange): Map<string, Claim[]> {
  const rows = new Map<string, Map<string, Claim[]>>();
  for (const lane of childrenOf(reader, 'lane', exchange.id)) {
    const claims = childrenOf(reader, 'claim', lane.id);
    for (const claim of claims) {
      const address = claim.toldPlace?.replace(/\s+/g, '').toUpperCase() ?? '';
      if (address === '' || (bindingOf(exchange, lane) ?? 'by address') !== 'by address') continue;
      const asked = `${claim.end} ${claims.find((c) => c !== claim)?.end ?? ''} ${claim.toldStation ?? ''}`;
      const known = rows.get(asked) ?? new Map<string, Claim[]>();
      rows.set(asked, known.set(address, [...(known.get(address) ?? []), claim]));
    }
  }
  return new Map([...rows.values()].flatMap((known) => [...known]).map(([, all]) => [all[0]!.toldPlace!.trim(), all]));
}

const isAlias = (a: Tag, b: Tag): boolean => a.alias?.trim() === b.name || b.alias?.trim() === a.name;
