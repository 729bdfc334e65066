import type { Symptom } from '../symptom.js';

export const twoAnswer: Symptom = {
  id: 'two-answer',
  words: 'Two answer, or now the one and now the other',
  also: ['address conflict', 'duplicate address', 'now one now the other', 'flickers between'],
  source: 'common practice',
  causes: [
    {
      says: 'Two devices have one IP address',
      codes: ['ADR 1'],
      tell: 'Unplug the one: the other still answers there.',
      look: 'Wiring, the network',
    },
    {
      says: 'Two on one line have one unit, node or radio number',
      codes: ['ADR 8', 'ADR 11'],
      tell: 'Take the one off the line: the answers become whole.',
      look: 'Wiring, the line',
    },
    {
      says: 'Two have one name',
      codes: ['ADR 16', 'NAM 2'],
      tell: 'Search by name: two are shown.',
      look: 'Stations',
    },
    {
      says: 'Two cards have one hardware address',
      codes: ['ADR 15'],
      tell: 'The table of neighbours shows one hardware address for both.',
      look: 'Wiring, the ports',
    },
  ],
};
