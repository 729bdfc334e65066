import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import { newEnd } from '../model/create.js';
import { childrenOf, orderAfter } from '../model/order.js';
import type { Reader } from '../model/project.js';

/** One more end of an exchange: it takes the station's first port and listens; nothing is told yet. */
export function addEnd(
  reader: Reader,
  exchange: string,
  station: string,
  newId: () => string,
): { id: string; changes: Change[] } {
  const order = orderAfter(childrenOf(reader, 'end', exchange));
  const port = childrenOf(reader, 'port', station)[0]?.id ?? null;
  const end = newEnd(newId(), order, exchange, station, port, 'listens');
  return { id: end.id, changes: [put('end', end)] };
}
