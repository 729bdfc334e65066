import { eachBefore, type OrderRule } from '../order-rule.js';

export const foundBeforeSet: OrderRule = {
  why: 'it is known by then which device is which',
  source: 'common practice',
  edges: (steps) =>
    steps.of('look').flatMap((look) => eachBefore([look], steps.about(look.about, 'address', 'device name'))),
};
