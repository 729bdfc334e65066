import { childrenOf } from '../../../model/order.js';
import { counted } from '../../few-of.js';
import type { Rule } from '../../rule.js';
import { limitMessage, overLimit } from './limit-report.js';

export const tagsAndDrivers: Rule = {
  meta: {
    code: 'CAP 4',
    title: 'No more tags and drivers than the type or its licence takes',
    source: 'the limit of the profile, with its source',
    messages: {
      tags: limitMessage('doubt'),
      drivers: limitMessage('doubt'),
    },
  },
  on: {
    *station(station, { reader }) {
      const tags = reader.referrers('tag', station.id).length;
      for (const report of tags > 0 ? overLimit(reader, station, 'tags', tags, counted('tag')) : [])
        yield { ...report, message: 'tags' };
      const protocols = new Set(
        childrenOf(reader, 'end', station.id).flatMap((end) => {
          const exchange = end.calling === 'calls' ? reader.get('exchange', end.exchange) : undefined;
          return exchange?.kind === 'tag map' ? [exchange.protocol] : [];
        }),
      );
      for (const report of overLimit(reader, station, 'drivers', protocols.size, counted('driver')))
        yield { ...report, message: 'drivers' };
    },
  },
};
