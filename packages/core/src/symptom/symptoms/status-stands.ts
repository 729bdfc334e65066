import type { Symptom } from '../symptom.js';

export const statusStands: Symptom = {
  id: 'status-stands',
  words: 'The status word never changes',
  also: ['status frozen', 'heartbeat stands', 'watchdog'],
  source: 'common practice',
  causes: [
    {
      says: 'Its place is written by somebody else, or by nobody',
      codes: ['DIR 11', 'POS 2', 'POS 5'],
      tell: 'Cut the link: it does not change either.',
      look: 'what is occupied',
    },
    {
      says: 'No heartbeat was agreed',
      codes: ['DIR 10'],
      tell: 'Nothing in the lane counts.',
      look: 'How it runs, watched by',
    },
    {
      says: 'It is read at another place',
      codes: ['POS 1', 'POS 8'],
      tell: 'At the source it changes.',
      look: 'the sheet, addresses',
    },
    {
      says: 'It goes only at the start',
      codes: ['TIM 9'],
      tell: 'It changes once after a restart.',
      look: 'the second line of the lane',
    },
  ],
};
