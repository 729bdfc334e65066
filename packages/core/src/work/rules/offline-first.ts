import { atEach, type OrderRule } from '../order-rule.js';

/** What can only be set while nothing is connected. */
export const offlineFirst: OrderRule = {
  why: 'it can be changed only while nothing is connected',
  source: 'common practice: offline for what can only be changed offline',
  edges: (steps, { fields }) => {
    const offline = new Set(
      [...fields.values()].flat().flatMap(({ field, setting }) => (setting?.how === 'offline only' ? [field] : [])),
    );
    const only = new Set(
      steps.all.flatMap(({ key, fields: own }) => (own.some((field) => offline.has(field)) ? [key] : [])),
    );
    return atEach(steps, ['set by cable', 'address', 'device name'], ['start', 'connect']).filter(({ before }) =>
      only.has(before),
    );
  },
};
