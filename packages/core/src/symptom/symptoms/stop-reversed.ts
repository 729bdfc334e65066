import type { Symptom } from '../symptom.js';

export const stopReversed: Symptom = {
  id: 'stop-reversed',
  words: 'Stop acts the wrong way round',
  also: ['reversed', 'inverted', 'stop starts', 'normally closed'],
  source: 'common practice: a stop is closed at rest',
  causes: [
    {
      says: 'The contact is closed at rest at the one end, and open at rest at the other',
      codes: ['TYP 7'],
      tell: 'At rest the bit is 1, and it is expected to be 0.',
      look: 'Points, at rest',
    },
    {
      says: 'Two bits are exchanged',
      codes: ['TYP 6', 'TYP 9', 'POS 7'],
      tell: 'Start does what stop should.',
      look: 'the sheet, bits',
    },
    {
      says: 'On loss it holds where it should clear',
      codes: ['DIR 9'],
      tell: 'Only with the link cut it is wrong.',
      look: 'How it runs, loss and return',
    },
  ],
};
