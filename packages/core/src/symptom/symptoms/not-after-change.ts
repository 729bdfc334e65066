import type { Symptom } from '../symptom.js';

export const notAfterChange: Symptom = {
  id: 'not-after-change',
  words: 'It was reached before, and not since its address was changed',
  also: ['changed address', 'no longer reached', 'after readdressing'],
  source: 'common practice',
  causes: [
    {
      says: 'Somebody still has its former address',
      codes: ['ADR 13'],
      tell: 'Whoever reaches it no longer has the old address typed in.',
      look: 'also typed in, at the port',
    },
    {
      says: 'The new address lies outside the subnet or behind no gateway',
      codes: ['ADR 3', 'ADR 4', 'ADR 5', 'ADR 6'],
      tell: 'In its own subnet it answers, from elsewhere it does not.',
      look: 'Wiring, the network',
    },
    {
      says: 'The new address is set, but not for good',
      codes: ['ADR 18'],
      tell: 'After a restart the old one is back.',
      look: 'its setting: sent, or in force',
    },
    {
      says: 'Another device has had the new address all along',
      codes: ['ADR 1'],
      tell: 'With the device unplugged something still answers there.',
      look: 'Wiring, the network',
    },
  ],
};
