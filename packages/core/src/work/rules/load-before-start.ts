import { atEach, type OrderRule } from '../order-rule.js';

export const loadBeforeStart: OrderRule = {
  why: 'the load stops it',
  source: 'common practice: start again after a load that stops',
  edges: (steps) => atEach(steps, ['load'], ['start', 'restart']),
};
