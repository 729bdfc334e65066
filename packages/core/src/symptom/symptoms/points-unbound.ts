import type { Symptom } from '../symptom.js';

export const pointsUnbound: Symptom = {
  id: 'points-unbound',
  words: 'All points are unbound',
  also: ['unbound', 'bad quality everywhere', 'question marks', 'dashes everywhere'],
  source: 'common practice',
  causes: [
    {
      says: 'The names differ by a letter, their case or the group before them',
      codes: ['NAM 2', 'NAM 4', 'NAM 6', 'NAM 8', 'POS 12'],
      tell: 'Bind one by choosing it from the list: it comes to life.',
      look: 'Points of the exchange',
    },
    {
      says: 'Names are bound when it connects, and it has not connected',
      codes: ['ROU 1', 'ROU 2', 'ROU 4', 'ADR 13', 'LIN 7'],
      tell: 'The connection itself is shown as down.',
      look: 'the heads of the exchange',
    },
    {
      says: 'The list that was brought in is older than the program',
      codes: ['DOC 4', 'DOC 7'],
      tell: 'The list of the controller has other names today.',
      look: 'Tags, its source',
    },
    {
      says: 'More tags than the licence takes',
      codes: ['CAP 4'],
      tell: 'Some are bound, and from a certain number on none.',
      look: 'Points',
    },
  ],
};
