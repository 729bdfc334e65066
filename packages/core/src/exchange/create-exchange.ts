import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import { newEnd, newExchange } from '../model/create.js';
import { childrenOf, inOrder, orderAfter } from '../model/order.js';
import type { ExchangeKind } from '../model/words.js';
import { protocolOf } from '../protocol/catalogue.js';
import type { Project } from '../model/project.js';

/** What is asked for when an exchange is begun. The first station calls, the second listens. */
export interface ExchangeWish {
  name: string;
  kind: ExchangeKind;
  protocol: string;
  stations: readonly [string, string];
}

/** An exchange with its two ends; each takes the station's first port, and neither is told anything yet. */
export function createExchange(
  project: Project,
  wish: ExchangeWish,
  newId: () => string,
): { id: string; changes: Change[] } {
  const order = orderAfter(inOrder(project, 'exchange'));
  const plain = newExchange(newId(), order, wish.name, wish.protocol);
  const exchange = { ...plain, kind: wish.kind, transfer: protocolOf(plain).transfers[0]! };
  const ends = wish.stations.map((station, i) => {
    const port = childrenOf(project, 'port', station)[0]?.id ?? null;
    return newEnd(newId(), (i + 1) * 10, exchange.id, station, port, i === 0 ? 'calls' : 'listens');
  });
  return { id: exchange.id, changes: [put('exchange', exchange), ...ends.map((end) => put('end', end))] };
}
