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
        const others = childrenOf(reader, 'end', end.exchange).length - 1;
        return sum + others;
      }, 0);
      yield* overLimit(reader, station, 'connections', partners);
    },
  },
};
