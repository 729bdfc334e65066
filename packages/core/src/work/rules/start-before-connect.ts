import { eachBefore, type OrderRule } from '../order-rule.js';

export const startBeforeConnect: OrderRule = {
  why: 'both ends must run with what was loaded before they connect',
  source: 'common practice: load before start before connect',
  edges: (steps, { exchanges }) =>
    exchanges.flatMap(({ exchange, ends }) => {
      const begin = steps.about(exchange.id, 'publish', 'connect');
      if (begin.length === 0) return [];
      const ready = [...ends.map(({ station }) => station), ...(exchange.via ? [exchange.via] : [])].flatMap(
        (station) => steps.at(station, 'load', 'start', 'address', 'device name', 'set by cable', 'read in'),
      );
      return eachBefore(ready, begin);
    }),
};
