import type { Symptom } from '../symptom.js';

export const oneModule: Symptom = {
  id: 'one-module',
  words: 'One module of many does not answer',
  also: ['one slot faulted', 'module not found', 'one of many dead'],
  source: 'common practice',
  causes: [
    {
      says: 'Another module, or another revision, is plugged in there',
      codes: ['HWS 5', 'HWS 6', 'HWS 7'],
      tell: 'Its label has another order code or revision.',
      look: 'Modules of the rack',
    },
    {
      says: 'Its slot is counted otherwise at the one end',
      codes: ['HWS 1', 'HWS 2', 'HWS 3', 'HWS 4'],
      tell: 'The module beside it shows what is expected of it.',
      look: 'the rack, seen from both',
    },
    {
      says: 'Another controller owns it',
      codes: ['DIR 4', 'DIR 5'],
      tell: 'The owner’s page says so.',
      look: 'owner map',
    },
    {
      says: 'Its dial was not read in, or stands elsewhere',
      codes: ['LIN 8', 'ADR 8'],
      tell: 'Press read-in: it answers.',
      look: 'settings of the module',
    },
  ],
};
