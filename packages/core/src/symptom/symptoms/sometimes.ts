import type { Symptom } from '../symptom.js';

export const movesSometimes: Symptom = {
  id: 'sometimes',
  words: 'A value moves only sometimes',
  also: ['intermittent', 'pulses missing', 'missed pulses', 'sometimes updates'],
  source: 'common practice',
  causes: [
    {
      says: 'It is shorter than the slowest sampling on its way',
      codes: ['TIM 6'],
      tell: 'Hold it for longer: it is never missed.',
      look: 'How it runs, times',
    },
    {
      says: 'The poll cycle does not fit into the interval',
      codes: ['TIM 3', 'TIM 1'],
      tell: 'With half of the lanes it moves always.',
      look: 'Poll plan',
    },
    {
      says: 'The network is too full',
      codes: ['TIM 4'],
      tell: 'At night it moves always.',
      look: 'Wiring, load',
    },
    {
      says: 'Two answer in turn',
      codes: ['ADR 1', 'ADR 8', 'ADR 11'],
      tell: 'Unplug one: it moves always, or never.',
      look: 'Wiring',
    },
    {
      says: 'The connection is closed while it is quiet',
      codes: ['TIM 7'],
      tell: 'After each pause the first change is lost.',
      look: 'How it runs, keep-alive',
    },
  ],
};
