import { memoryOf } from '../../../place/memory.js';
import { userOf } from '../../../lane/use-words.js';
import { holderOf } from '../../../lane/uses.js';
import type { Area } from '../../../model/area.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import { tagOf } from '../../../place/open-of.js';
import { fewOf } from '../../few-of.js';
import type { Context, Report } from '../../rule.js';

/**
 * A memory that its program writes, and in which a panel or a control room sets values by a tag map: whose word stands is
 * for a person to say, once for the memory.
 */
export function* enteredThere(
  area: Area,
  { reader, occupancy }: Pick<Context, 'reader' | 'occupancy'>,
): Generator<Report> {
  const memory = memoryOf(reader, area.id);
  if (!memory || area.lastWord || area.kind !== 'memory' || !area.writers.includes('program')) return;
  const entered = endsEntered(reader, area.station);
  if (entered.size === 0) return;
  const users = occupancy.inArea(area.id).flatMap((use) => {
    const claim = use.puts && use.of === 'claim' ? reader.get('claim', holderOf(use)) : undefined;
    return claim && entered.has(claim.end) ? (userOf(reader, use) ?? []) : [];
  });
  if (users.length === 0) return;
  const ends = new Set(users.flatMap(({ exchange }) => exchange?.name ?? []));
  yield {
    message: 'entered',
    label: 'last word',
    about: { kind: 'station', id: memory.station.id, name: memory.station.name },
    parties: [{ station: memory.station.id }],
    cells: [{ kind: 'area', id: area.id, path: ['lastWord'] }, ...users.map(({ cell }) => cell)],
    params: {
      a: memory.station.name,
      area: area.name,
      by: fewOf([...ends]),
      shared: fewOf(users.map(({ range }) => range)),
    },
    subjects: [area.id, 'entered'],
  };
}

/**
 * Tags of a controller that have no address are memories of their own: where people set some of them, too, it is asked
 * once for all of which nobody has said whose value stands.
 */
export function* enteredByName(station: Station, { reader }: Pick<Context, 'reader'>): Generator<Report> {
  if (!station.roles.includes('controller')) return;
  const set = [...endsEntered(reader, station.id)].flatMap((end) =>
    childrenOf(reader, 'claim', end).flatMap((claim) => {
      const tag = claim.direction === 'writes' ? undefined : tagOf(reader, claim);
      return tag && !tag.place && !tag.lastWord ? [{ claim, tag }] : [];
    }),
  );
  if (set.length === 0) return;
  const exchanges = new Set(
    set.flatMap(({ claim }) => {
      const end = reader.get('end', claim.end);
      return (end && reader.get('exchange', end.exchange)?.name) ?? [];
    }),
  );
  const tags = [...new Set(set.map(({ tag }) => tag))];
  yield {
    message: 'byName',
    label: 'last word',
    about: { kind: 'station', id: station.id, name: station.name },
    parties: [{ station: station.id }],
    cells: [
      ...tags.map(({ id }) => ({ kind: 'tag', id, path: ['lastWord'] }) as const),
      ...set.map(({ claim }) => ({ kind: 'claim', id: claim.id, path: ['direction'] }) as const),
    ],
    params: { a: station.name, by: fewOf([...exchanges]), tags: fewOf(tags.map(({ name }) => name)) },
    subjects: [station.id, 'entered by name'],
  };
}

/** The ends of a station at which people set values. */
const endsEntered = (reader: Reader, station: string): Set<string> =>
  new Set(
    childrenOf(reader, 'end', station).flatMap(({ id, exchange }) => (isEnteredBy(reader, exchange) ? [id] : [])),
  );

/** Whether people set values by it: a panel or a control room takes part. What a simulator sets is a simulation. */
const isEnteredBy = (reader: Reader, exchange: string): boolean =>
  reader.get('exchange', exchange)?.kind === 'tag map' &&
  childrenOf(reader, 'end', exchange).some((end) =>
    reader.get('station', end.station)?.roles.some((role) => role === 'operator panel' || role === 'SCADA station'),
  );
