import type { Symptom } from '../symptom.js';

export const outputOff: Symptom = {
  id: 'output-off',
  words: 'The program says on, and the output is off',
  also: ['output does not switch', 'no output', 'output stays off'],
  source: 'common practice',
  causes: [
    {
      says: 'Another controller owns the outputs',
      codes: ['DIR 4', 'DIR 5'],
      tell: 'The owner’s page says so.',
      look: 'owner map',
    },
    {
      says: 'After a loss they wait for a release',
      codes: ['DIR 9'],
      tell: 'Release them: they come.',
      look: 'How it runs, loss and return',
    },
    {
      says: 'The bit goes to another place',
      codes: ['POS 1', 'HWS 9', 'TYP 6'],
      tell: 'Another output switches.',
      look: 'the sheet, addresses',
    },
    {
      says: 'It is held by hand, or the module is not powered',
      codes: [],
      tell: 'Its lamp is on and the terminal dead.',
      look: 'temporary things',
    },
  ],
};
