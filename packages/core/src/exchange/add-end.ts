import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import { newEnd } from '../create/new-entities.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { rolesFor } from './kind-protocols.js';
import { portFor } from './port-for.js';

/**
 * One more end of an exchange, on the network of the first. Of shared variables it is one more that takes; elsewhere it
 * answers like the second. Nothing is told yet.
 */
export function addEnd(
  reader: Reader,
  exchange: string,
  station: string,
  newId: () => string,
): { id: string; changes: Change[] } {
  const ends = childrenOf(reader, 'end', exchange);
  const kind = reader.get('exchange', exchange)?.kind ?? 'peer connection';
  const port = portFor(reader, kind, station, ends[0]?.station ?? '');
  const end = newEnd(newId(), orderAfter(ends), exchange, station, port, rolesFor(kind)[1]!);
  return { id: end.id, changes: [put('end', end)] };
}
