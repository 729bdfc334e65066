import { atEach, type OrderRule } from '../order-rule.js';

export const descriptionBeforeLoad: OrderRule = {
  why: 'without the description the tool cannot make what is loaded',
  source: 'common practice: description file before device before name before load',
  edges: (steps) => atEach(steps, ['description'], ['load']),
};
