import { eachBefore, type OrderRule } from '../order-rule.js';

export const undoLast: OrderRule = {
  why: 'it is still needed until then',
  source: 'common practice: what is temporary is undone last',
  edges: (steps) =>
    eachBefore(
      steps.all.filter(({ kind }) => kind !== 'set back'),
      steps.of('set back'),
    ),
};
