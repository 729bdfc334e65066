import { atEach, type OrderRule } from '../order-rule.js';

export const temporaryBeforeLoad: OrderRule = {
  why: 'the load goes by that address, and makes it permanent',
  source: 'common practice: temporary address before load',
  edges: (steps, { project }) => {
    const temporary = new Set(
      steps
        .of('address')
        .flatMap(({ key, station }) => (project.get('port', key.split(' ')[1]!)?.how === 'temporary' ? [station] : [])),
    );
    return atEach(steps, ['address'], ['load']).filter(({ after }) => temporary.has(after.split(' ')[1]!));
  },
};
