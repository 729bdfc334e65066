import type { Symptom } from '../symptom.js';

export const simulatorNotMachine: Symptom = {
  id: 'simulator-not-machine',
  words: 'It worked on the simulator, and does not on the machine',
  also: ['worked in simulation', 'not on the real plant', 'simulation fine'],
  source: 'common practice',
  causes: [
    {
      says: 'The signal means the opposite in the plant',
      codes: ['TYP 7'],
      tell: 'At rest the real contact is 1.',
      look: 'Points, polarity and at rest',
    },
    {
      says: 'The offset beside the physical inputs is still there',
      codes: ['DOC 6', 'POS 9'],
      tell: 'With the offset taken off the real input moves it.',
      look: 'temporary things',
    },
    {
      says: 'The real range is scaled otherwise',
      codes: ['TYP 8'],
      tell: 'At one end of the range both agree.',
      look: 'Tags, scale',
    },
    {
      says: 'In the plant it takes longer',
      codes: ['TIM 1', 'TIM 2', 'TIM 5', 'TIM 6'],
      tell: 'Slowly done, it works.',
      look: 'How it runs, times',
    },
    {
      says: 'The real device has other modules',
      codes: ['HWS 7', 'HWS 9'],
      tell: 'Its label has another order code.',
      look: 'Modules of the rack',
    },
  ],
};
