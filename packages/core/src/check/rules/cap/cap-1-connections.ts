import { connectionWords, countedBy } from '../../../wiring/connection-limits.js';
import { connectionsOf, countConnections } from '../../../wiring/connections-of.js';
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
        const number = countConnections(connectionsOf(reader, station), counted);
        const words = (n: number) => `${n} ${connectionWords(counted, n)}`;
        for (const report of overLimit(reader, station, key, number, words)) {
          yield { ...report, subjects: [station.id, key] };
        }
      }
    },
  },
};
