import type { Symptom } from '../symptom.js';

export const lettersExchanged: Symptom = {
  id: 'letters',
  words: 'A text has its letters exchanged in pairs',
  also: ['text scrambled', 'letters swapped', 'garbled text', 'eHllo'],
  source: 'common practice: two characters to a register',
  causes: [
    {
      says: 'The bytes of its words are exchanged',
      codes: ['TYP 3', 'TYP 4'],
      tell: 'HELLO! comes as EHLL!O.',
      look: 'the layout of both ends, swap',
    },
    {
      says: 'What stands before its characters is taken for characters',
      codes: ['SIZ 6', 'SIZ 7', 'TYP 2'],
      tell: 'One or two odd characters stand before it.',
      look: 'the layout, texts',
    },
    {
      says: 'Its characters are wider at the one end',
      codes: ['TYP 1', 'SIZ 6'],
      tell: 'Every second character is missing.',
      look: 'the layout, texts',
    },
    {
      says: 'It begins at another place than is read',
      codes: ['POS 1', 'POS 8', 'SIZ 1'],
      tell: 'Its first letters are missing, or letters of another text stand before it.',
      look: 'the sheet, addresses',
    },
  ],
};
