import { eachBefore, type OrderRule } from '../order-rule.js';

/** Whoever calls by name looks for it when it is loaded. */
export const nameBeforeLoad: OrderRule = {
  why: 'whoever is loaded looks for the device by its name at once',
  source: 'common practice: description file before device before name before load',
  edges: (steps, { exchanges }) =>
    exchanges.flatMap(({ ends }) => {
      const named = ends.flatMap(({ station }) => steps.at(station, 'device name'));
      const callers = ends
        .filter(({ calling }) => calling === 'calls')
        .flatMap(({ station }) => steps.at(station, 'load'));
      return eachBefore(
        named,
        callers.filter(({ station }) => !named.some((one) => one.station === station)),
      );
    }),
};
