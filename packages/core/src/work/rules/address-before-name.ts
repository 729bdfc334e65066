import { eachBefore, type OrderRule } from '../order-rule.js';

export const deviceBeforeName: OrderRule = {
  why: 'the name is given to the device that was told apart',
  source: 'common practice: description file before device before name before load',
  edges: (steps) =>
    steps.of('address').flatMap((step) =>
      eachBefore(
        [step],
        steps.at(step.station, 'device name').filter(({ about }) => about === step.about),
      ),
    ),
};
