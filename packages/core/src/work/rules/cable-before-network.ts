import { atEach, type OrderRule } from '../order-rule.js';

export const cableBeforeNetwork: OrderRule = {
  why: 'without it nothing reaches it over that network',
  source: 'common practice: by cable before network where a port has no address',
  edges: (steps) => atEach(steps, ['set by cable', 'address'], ['load', 'restart']),
};
