import { eachBefore, type OrderRule } from '../order-rule.js';

export const publishBeforeRead: OrderRule = {
  why: 'what is not offered is not found',
  source: 'common practice: publish before read',
  edges: (steps) => steps.of('publish').flatMap((step) => eachBefore([step], steps.about(step.about, 'connect'))),
};
