import type { Symptom } from '../symptom.js';

export const factorOff: Symptom = {
  id: 'factor',
  words: 'A value is too big or too small by 2, 10, 256 or 65,536',
  also: ['factor', 'times too big', 'times too small', '256 times', '10 times', 'scaled wrong'],
  source: 'common practice: 256 is a byte, 65,536 a register',
  causes: [
    {
      says: 'By 256: the bytes of a word are exchanged',
      codes: ['TYP 3', 'TYP 4'],
      tell: 'In hexadecimal the two halves of the word stand the other way round.',
      look: 'the layout of both ends, swap',
    },
    {
      says: 'By 65,536: the registers of a longer value are exchanged',
      codes: ['TYP 5', 'TYP 10'],
      tell: 'In hexadecimal the two registers stand the other way round.',
      look: 'the layout of both ends, register order',
    },
    {
      says: 'By 10, 100, or as two ranges: unit and scale differ',
      codes: ['TYP 8'],
      tell: 'At zero it is right, and further up it is more and more wrong.',
      look: 'Tags, scale and unit',
    },
    {
      says: 'By 2: a place is counted in bytes at the one end and in words at the other',
      codes: ['SIZ 1', 'SIZ 9', 'POS 1'],
      tell: 'The value after it is the one that is meant.',
      look: 'the sheet, addresses and lengths',
    },
    {
      says: 'One width is read as another',
      codes: ['TYP 1', 'TYP 2'],
      tell: 'Small numbers are right, large ones are not.',
      look: 'the sheet, types',
    },
  ],
};
