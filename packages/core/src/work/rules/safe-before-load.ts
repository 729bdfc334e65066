import { atEach, eachBefore, type OrderRule } from '../order-rule.js';

export const safeBeforeLoad: OrderRule = {
  why: 'outputs move, or go off, in this step',
  source: 'common practice: real outputs are made safe before a trial',
  edges: (steps, { exchanges }) => [
    ...atEach(steps, ['outputs safe'], ['load']),
    ...exchanges.flatMap(({ exchange, ends }) =>
      eachBefore(
        ends.flatMap(({ station }) => steps.at(station, 'outputs safe')),
        steps.about(exchange.id, 'test'),
      ),
    ),
  ],
};
