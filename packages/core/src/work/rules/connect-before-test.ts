import { eachBefore, type OrderRule } from '../order-rule.js';

export const connectBeforeTest: OrderRule = {
  why: 'nothing arrives before it is connected',
  source: 'common practice',
  edges: (steps) => steps.of('connect').flatMap((step) => eachBefore([step], steps.about(step.about, 'test'))),
};
