import { childrenOf } from '../../../model/order.js';
import { counted } from '../../few-of.js';
import type { Rule } from '../../rule.js';
import { limitMessage, overLimit } from './limit-report.js';

export const nodes: Rule = {
  meta: {
    code: 'CAP 3',
    title: 'No more devices on a network than the type that calls there takes',
    source: 'the limit of the profile, with its source',
    messages: { over: limitMessage('blocker') },
  },
  on: {
    *station(station, { reader }) {
      let most = 0;
      for (const port of childrenOf(reader, 'port', station.id)) {
        if (port.network) most = Math.max(most, reader.referrers('port', port.network).length - 1);
      }
      yield* overLimit(reader, station, 'nodes', most, counted('node'));
    },
  },
};
