import type { Symptom } from '../symptom.js';

export const writeIgnored: Symptom = {
  id: 'write-ignored',
  words: 'Writing has no effect',
  also: ['write rejected', 'setpoint ignored', 'cannot write', 'read only'],
  source: 'common practice',
  causes: [
    {
      says: 'What is written to is only to be read',
      codes: ['DIR 2', 'TYP 11'],
      tell: 'The answer is an exception, not silence.',
      look: 'the sheet, tables',
    },
    {
      says: 'It is not open to others',
      codes: ['DIR 3', 'DIR 8', 'DOC 5'],
      tell: 'Opened, it takes the value.',
      look: 'Tags, open to others',
    },
    {
      says: 'The program writes it again in each scan',
      codes: ['POS 2', 'DIR 11'],
      tell: 'It changes for a moment and goes back.',
      look: 'what is occupied',
    },
    {
      says: 'Another place is written to',
      codes: ['POS 1', 'POS 6'],
      tell: 'Something else changes.',
      look: 'the sheet, partner addresses',
    },
    {
      says: 'Both ends write',
      codes: ['DIR 1'],
      tell: 'The other end shows it as its own output.',
      look: 'the sheet, directions',
    },
  ],
};
