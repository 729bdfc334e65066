import type { End } from '../model/end.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { protocolAt } from '../protocol/catalogue.js';
import { connectionWords, countedBy, type Counted } from './connection-limits.js';

/** A connection that a station has by its exchanges. */
export interface Connection {
  partner: string;
  protocol: string;
}

/** All connections of a station; a tool that is plugged in for a while is none of them. */
export function connectionsOf(reader: Reader, station: Station): Connection[] {
  return childrenOf(reader, 'end', station.id).flatMap((end) => {
    const exchange = reader.get('exchange', end.exchange);
    if (!exchange || exchange.kind === 'service link') return [];
    // Two that are both called have no connection between them.
    const between = (other: End) => !(other.calling === 'listens' && end.calling === 'listens');
    const others = childrenOf(reader, 'end', exchange.id).filter((e) => e.id !== end.id && between(e));
    return others.map((other) => ({ partner: other.station, protocol: protocolAt(exchange, end).id }));
  });
}

/** How many of them a limit counts; of those with one partner, as many as with the one with which there are most. */
export function countConnections(all: readonly Connection[], counted: Counted): number {
  if (counted.by === 'all') return all.length;
  if (counted.by === 'protocol') return all.filter(({ protocol }) => protocol === counted.protocol).length;
  const each = new Map<string, number>();
  for (const { partner } of all) each.set(partner, (each.get(partner) ?? 0) + 1);
  return Math.max(0, ...each.values());
}

/** `6 of 8 connections`, for each limit that the type of a station has. */
export function connectionsUsed(reader: Reader, station: Station): string[] {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const all = connectionsOf(reader, station);
  return Object.entries(profile?.limits ?? {}).flatMap(([key, { value }]) => {
    const counted = countedBy(key);
    return counted ? [`${countConnections(all, counted)} of ${value} ${connectionWords(counted, value)}`] : [];
  });
}
