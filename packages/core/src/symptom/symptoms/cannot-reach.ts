import type { Symptom } from '../symptom.js';

export const cannotReach: Symptom = {
  id: 'cannot-reach',
  words: 'A device cannot be reached',
  also: ['no answer', 'no connection', 'timeout', 'does not respond', 'not found on the network'],
  source: 'common practice: from the cable to the name',
  causes: [
    {
      says: 'It has another address than the caller was told',
      codes: ['ADR 13', 'ADR 1', 'ADR 2', 'ADR 3', 'ADR 10', 'ADR 16'],
      tell: 'Ask the address that is told, then the one of the plan: only one of them answers.',
      look: 'the heads of the exchange, and the port of the device',
    },
    {
      says: 'It is in another subnet, and nothing between them passes this on',
      codes: ['ADR 4', 'ADR 5', 'ADR 6', 'ROU 1', 'ROU 3', 'ROU 9'],
      tell: 'From a computer in its own subnet it answers at once.',
      look: 'Routes, from the one to the other',
    },
    {
      says: 'It does not listen: another TCP port, the protocol switched off, or only on another port',
      codes: ['ADR 12', 'LIN 7', 'LIN 9', 'ROU 2', 'DIR 6', 'DIR 7'],
      tell: 'It answers an echo request, but refuses the connection.',
      look: 'the port of the device, protocols',
    },
    {
      says: 'All connections that its type takes are in use',
      codes: ['CAP 1'],
      tell: 'It answers as soon as one of the others is closed.',
      look: 'connections used of allowed, at its station',
    },
    {
      says: 'The line is set otherwise: rate, character, or number',
      codes: ['LIN 1', 'LIN 2', 'LIN 5', 'LIN 6', 'LIN 8', 'ADR 8', 'ADR 9', 'ADR 11'],
      tell: 'Others on the same line answer, or none does.',
      look: 'Wiring, the line',
    },
  ],
};
