import type { Symptom } from '../symptom.js';

export const wrongPlace: Symptom = {
  id: 'wrong-place',
  words: 'A plausible value stands at the wrong place',
  also: ['shifted', 'off by one', 'neighbour value', 'wrong tag shows it'],
  source: 'common practice',
  causes: [
    {
      says: 'One end counts from 0, the other from 1',
      codes: ['POS 1', 'POS 8'],
      tell: 'Everything is off by the same amount.',
      look: 'the sheet, partner addresses',
    },
    {
      says: 'The members lie at other offsets',
      codes: ['POS 7', 'TYP 9'],
      tell: 'From one member on all are off.',
      look: 'the sheet, values',
    },
    {
      says: 'Two have one place',
      codes: ['POS 9', 'POS 10'],
      tell: 'Set the one: the other moves along.',
      look: 'what is occupied',
    },
    {
      says: 'A header of the block is not counted at the one end',
      codes: ['SIZ 1', 'POS 1'],
      tell: 'All of it is off by the length of the header.',
      look: 'the sheet, second line',
    },
  ],
};
