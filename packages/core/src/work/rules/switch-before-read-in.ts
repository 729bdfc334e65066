import { eachBefore, type OrderRule } from '../order-rule.js';

export const switchBeforeReadIn: OrderRule = {
  why: 'the module goes by what it read in last',
  source: 'common practice: rotary switch, then read in, then save, then send',
  edges: (steps) =>
    steps.of('rotary switch').flatMap((step) => {
      const id = step.key.slice('rotary switch '.length);
      return eachBefore(
        [step],
        steps.of('read in').filter(({ key }) => key === `read in ${id}`),
      );
    }),
};
