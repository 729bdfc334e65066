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
      codes: ['POS 7', 'TYP 9', 'TYP 1', 'TYP 2', 'TYP 10'],
      tell: 'From one member on all are off.',
      look: 'the sheet, values',
    },
    {
      says: 'Two have one place',
      codes: ['POS 9', 'POS 10', 'HWS 9', 'HWS 2'],
      tell: 'Set the one: the other moves along.',
      look: 'what is occupied',
    },
    {
      says: 'One end has another length before it: an element more or less, or a header that is not counted',
      codes: ['SIZ 1', 'SIZ 2', 'SIZ 3', 'POS 1'],
      tell: 'From there on all are off by the same amount.',
      look: 'the sheet, second line',
    },
  ],
};
