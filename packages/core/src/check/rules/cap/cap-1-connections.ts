import type { End } from '../../../model/end.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import type { Station } from '../../../model/station.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import { connectionWords, countedBy, type Counted } from '../../../wiring/connection-limits.js';
import type { Rule } from '../../rule.js';
import { limitMessage, overLimit } from './limit-report.js';

export const connections: Rule = {
  meta: {
    code: 'CAP 1',
    title: 'No more connections than the type takes, in all, with one partner, or over one protocol',
    source: 'the limit of the profile, with its source',
    messages: { over: limitMessage('blocker') },
  },
  on: {
    *station(station, { reader }) {
      const profile = station.profile ? reader.get('profile', station.profile) : undefined;
      const limits = Object.keys(profile?.limits ?? {}).sort();
      for (const key of limits) {
        const counted = countedBy(key);
        if (!counted) continue;
        const number = count(connectionsOf(reader, station), counted);
        const words = (n: number) => `${n} ${connectionWords(counted, n)}`;
        for (const report of overLimit(reader, station, key, number, words)) {
          yield { ...report, subjects: [station.id, key] };
        }
      }
    },
  },
};

interface Connection {
  partner: string;
  protocol: string;
}

function connectionsOf(reader: Reader, station: Station): Connection[] {
  return childrenOf(reader, 'end', station.id).flatMap((end) => {
    const exchange = reader.get('exchange', end.exchange);
    // A tool that is plugged in for a while is none of them.
    if (!exchange || exchange.kind === 'service link') return [];
    // Two that are both called have no connection between them.
    const between = (other: End) => !(other.calling === 'listens' && end.calling === 'listens');
    const others = childrenOf(reader, 'end', exchange.id).filter((e) => e.id !== end.id && between(e));
    return others.map((other) => ({ partner: other.station, protocol: protocolAt(exchange, end).id }));
  });
}

/** Of those with one partner: as many as it has with the one with which it has the most. */
function count(all: readonly Connection[], counted: Counted): number {
  if (counted.by === 'all') return all.length;
  if (counted.by === 'protocol') return all.filter(({ protocol }) => protocol === counted.protocol).length;
  const each = new Map<string, number>();
  for (const { partner } of all) each.set(partner, (each.get(partner) ?? 0) + 1);
  return Math.max(0, ...each.values());
}
