import type { Symptom } from '../symptom.js';

export const signWrong: Symptom = {
  id: 'sign',
  words: 'The sign is wrong',
  also: ['negative shows big', '65535', 'minus', 'sign'],
  source: 'common practice: two’s complement',
  causes: [
    {
      says: 'A signed value is taken as one without a sign',
      codes: ['TYP 2'],
      tell: '−1 is shown as 65,535.',
      look: 'the sheet, types',
    },
    {
      says: 'It is narrower at the one end, and not extended',
      codes: ['TYP 1'],
      tell: '−1 is shown as 255.',
      look: 'the sheet, types',
    },
    {
      says: 'The polarity differs',
      codes: ['TYP 7'],
      tell: '0 and 1 are exchanged, too.',
      look: 'Points, polarity',
    },
  ],
};
