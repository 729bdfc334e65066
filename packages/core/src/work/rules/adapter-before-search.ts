import { eachBefore, type OrderRule } from '../order-rule.js';

export const adapterBeforeSearch: OrderRule = {
  why: 'only an adapter in that network sees it',
  source: 'common practice',
  edges: (steps) =>
    steps
      .of('own adapter')
      .flatMap((adapter) => eachBefore([adapter], steps.about(adapter.about, 'look', 'address', 'device name'))),
};
