import { memoryOf } from '../../../address/memory.js';
import { userOf } from '../../../lane/use-words.js';
import { holderOf } from '../../../lane/uses.js';
import type { Area } from '../../../model/area.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
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
  const entered = new Set(
    childrenOf(reader, 'end', area.station).flatMap(({ id, exchange }) => (isEnteredBy(reader, exchange) ? [id] : [])),
  );
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
      ...{ a: memory.station.name, area: area.name, by: fewOf([...ends]) },
      shared: fewOf(users.map(({ range }) => range)),
    },
    subjects: [area.id, 'entered'],
  };
}

/** Whether people set values by it: a panel or a control room takes part. What a simulator sets is a trial. */
const isEnteredBy = (reader: Reader, exchange: string): boolean =>
  reader.get('exchange', exchange)?.kind === 'tag map' &&
  childrenOf(reader, 'end', exchange).some((end) =>
    reader.get('station', end.station)?.roles.some((role) => role === 'operator panel' || role === 'SCADA station'),
  );
