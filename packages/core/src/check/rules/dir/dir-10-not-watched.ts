import { childrenOf } from '../../../model/order.js';
import type { Rule } from '../../rule.js';

export const notWatched: Rule = {
  meta: {
    code: 'DIR 10',
    title: 'A heartbeat or a status shows that cyclic data still comes',
    source: 'common practice: a value that stands still looks like one that is no longer sent',
    messages: {
      unwatched: {
        severity: 'hint',
        headline: '{exchange}: nothing shows its ends that the other is still there',
        says: ['a heartbeat or a status: [[none named]]'],
        consequence: 'A stopped partner looks like a plant with steady values.',
        remedy: 'Add a counter or a toggling bit, and name it in the settings of the exchange.',
      },
      noStatus: {
        severity: 'doubt',
        headline: '{exchange}: its source is told of a lost link by a status, and no status is named',
        says: ['told by a status: [[none named]]'],
        consequence: 'Whoever writes the program does not know what to look at, and leaves it out.',
        remedy: 'Name the lane, or the value in it, by which the source sees that the link stands.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }) {
      const { onLoss, watchedBy } = exchange;
      if (exchange.transfer !== 'cyclic blocks' || exchange.kind === 'remote I/O' || watchedBy) return;
      // What is not decided at all is asked for as a whole.
      if (!onLoss?.sinks) return;
      const told = onLoss.source === 'is told by a status';
      if (childrenOf(reader, 'lane', exchange.id).length === 0) return;
      yield {
        message: told ? 'noStatus' : 'unwatched',
        label: told ? 'no status' : 'not watched',
        about: { kind: 'exchange', id: exchange.id, name: exchange.name },
        parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
        cells: [{ kind: 'exchange', id: exchange.id, path: ['watchedBy'] }],
        params: { exchange: exchange.name },
        subjects: [exchange.id],
      };
    },
  },
};
