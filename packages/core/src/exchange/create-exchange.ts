import { apply } from '../change/apply.js';
import { put } from '../change/make.js';
import type { Change } from '../change/change.js';
import { newEnd, newExchange } from '../create/new-entities.js';
import { inOrder, orderAfter } from '../model/order.js';
import type { ExchangeKind } from '../model/words.js';
import { rolesFor } from './kind-protocols.js';
import { portFor } from './port-for.js';
import { lanesMade } from './made-lanes.js';
import { protocolOf } from '../protocol/catalogue.js';
import { OTHER_ID } from '../protocol/other.js';
import type { Project } from '../model/project.js';

/** What is asked for when an exchange is begun. Who calls follows from its kind. */
export interface ExchangeWish {
  name: string;
  kind: ExchangeKind;
  protocol: string;
  stations: readonly [string, string];
  /** the port that an end of it is to go through; else the one that suits best */
  through?: string | undefined;
}

/** An exchange with its two ends; each takes the port that suits it best, and neither is told anything yet. */
export function createExchange(
  project: Project,
  wish: ExchangeWish,
  newId: () => string,
): { id: string; changes: Change[] } {
  const order = orderAfter(inOrder(project, 'exchange'));
  const plain = newExchange(newId(), order, wish.name, wish.protocol);
  // Variables and images are sent cyclically where the protocol can; a peer connection begins with its usual way.
  const [usual] = protocolOf(plain).transfers;
  const couplers = [...project.all('station')].filter((s) => s.roles.includes('coupler'));
  const exchange = {
    ...plain,
    kind: wish.kind,
    transfer: usual!,
    // The only coupler there is, is the one.
    ...(wish.kind === 'coupler area' && couplers.length === 1 ? { via: couplers[0]!.id } : {}),
  };
  const media = wish.protocol === OTHER_ID ? null : protocolOf(plain).media;
  const ends = wish.stations.map((station, i) => {
    const asked = wish.through ? project.get('port', wish.through) : undefined;
    const port =
      asked?.station === station ? asked.id : portFor(project, wish.kind, station, wish.stations[1 - i]!, media);
    return newEnd(newId(), (i + 1) * 10, exchange.id, station, port, rolesFor(wish.kind)[i]!);
  });
  const changes: Change[] = [put('exchange', exchange), ...ends.map((end) => put('end', end))];
  // Where its lanes follow from landings or rotary switches, it begins with those that there are.
  const begun = apply(project, { id: exchange.id, label: '', changes });
  const made = begun.ok ? lanesMade(project.with(begun.entities), exchange, newId) : null;
  return { id: exchange.id, changes: [...changes, ...(made?.changes ?? [])] };
}
