import type { Symptom } from '../symptom.js';

export const slow: Symptom = {
  id: 'slow',
  words: 'It is slow',
  also: ['delay', 'takes seconds', 'laggy', 'late'],
  source: 'common practice',
  causes: [
    {
      says: 'The cycle of all requests is longer than the interval',
      codes: ['TIM 3'],
      tell: 'With half of the lanes it is twice as fast.',
      look: 'Poll plan',
    },
    {
      says: 'Each hop adds its own scan and interval',
      codes: ['TIM 5'],
      tell: 'At the first hop it is fast.',
      look: 'the age of the value, hop by hop',
    },
    {
      says: 'Timeouts of one that is not there hold the others up',
      codes: ['TIM 2', 'ADR 13'],
      tell: 'Take the one that does not answer out: the rest is fast.',
      look: 'How it runs, timeout',
    },
    {
      says: 'The line is slow, or full',
      codes: ['TIM 4', 'LIN 3'],
      tell: 'At a higher rate it is faster.',
      look: 'Wiring, load',
    },
  ],
};
