import type { Symptom } from '../symptom.js';

export const neverConnected: Symptom = {
  id: 'never-connected',
  words: 'The bit that says connected never comes',
  also: ['connected bit', 'never ready', 'handshake never', 'status never set'],
  source: 'common practice',
  causes: [
    {
      says: 'The references, the slot or the sizes of the two do not pair',
      codes: ['DIR 7', 'DIR 13', 'SIZ 1', 'SIZ 2', 'SIZ 4', 'TYP 9', 'HWS 2', 'CAP 2'],
      tell: 'The refusal has a code: its text names size or reference.',
      look: 'the heads of the exchange',
    },
    {
      says: 'Both call, or both wait',
      codes: ['DIR 6', 'LIN 9'],
      tell: 'Neither shows an attempt.',
      look: 'the heads of the exchange',
    },
    {
      says: 'The start sequence has a condition that never comes',
      codes: ['DIR 12'],
      tell: 'Its status word names the step.',
      look: 'How it runs, start',
    },
    {
      says: 'The bit is read at another place',
      codes: ['POS 1', 'POS 5'],
      tell: 'The status word beside it is right.',
      look: 'the sheet, addresses',
    },
    {
      says: 'The other is not reached',
      codes: ['ADR 13', 'ADR 12', 'LIN 7', 'ADR 6'],
      tell: 'There is no connection at all.',
      look: 'Routes',
    },
  ],
};
