import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';
import { limitMessages, overLimit } from './limit-report.js';

export const connections: Rule = {
  meta: {
    code: 'CAP 1',
    title: 'No more connections than the type takes',
    source: 'the limit of the profile, with its source',
    messages: limitMessages('blocker', 'connections'),
  },
  on: {
    *station(station, { reader }) {
      const partners = childrenOf(reader, 'end', station.id).reduce((sum, end) => {
        // A tool that is plugged in for a while is none of them; two that are both called have none between them.
        if (reader.get('exchange', end.exchange)?.kind === 'service link') return sum;
        const others = childrenOf(reader, 'end', end.exchange).filter((e) => e.id !== end.id);
        return sum + others.filter((e) => !(e.calling === 'listens' && end.calling === 'listens')).length;
      }, 0);
      yield* overLimit(reader, station, 'connections', partners);
    },
  },
};
