import type { Symptom } from '../symptom.js';

export const goesBack: Symptom = {
  id: 'goes-back',
  words: 'A value goes back by itself',
  also: ['reset by itself', 'overwritten', 'jumps back', 'cannot be changed', 'returns to old value'],
  source: 'common practice',
  causes: [
    {
      says: 'Somebody else writes it, too',
      codes: ['POS 2', 'DIR 11', 'POS 9'],
      tell: 'Stop one writer after the other: with the right one it stays.',
      look: 'what is occupied, at the area',
    },
    {
      says: 'It is copied there in every scan',
      codes: ['POS 5'],
      tell: 'With the copy taken out it stays.',
      look: 'copies of the station',
    },
    {
      says: 'Start values or settings are written again at a restart',
      codes: ['SIZ 12', 'ADR 18'],
      tell: 'It stays until the next restart.',
      look: 'blocks of the station',
    },
    {
      says: 'Two slots or windows lie upon one another',
      codes: ['HWS 9', 'POS 3'],
      tell: 'It changes together with another value.',
      look: 'what is occupied',
    },
  ],
};
