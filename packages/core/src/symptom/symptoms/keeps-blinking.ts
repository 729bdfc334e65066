import type { Symptom } from '../symptom.js';

export const keepsBlinking: Symptom = {
  id: 'keeps-blinking',
  words: 'Far units keep blinking',
  also: ['blinking', 'not linked', 'searching', 'fault lamp'],
  source: 'common practice',
  causes: [
    {
      says: 'Nobody polls them yet, so it is right that they do',
      codes: ['DIR 12', 'TIM 3'],
      tell: 'As soon as the caller runs they stop.',
      look: 'How it runs',
    },
    {
      says: 'The radio, bus or line is set otherwise there',
      codes: ['LIN 1', 'LIN 5', 'LIN 8'],
      tell: 'One that is set anew stops at once.',
      look: 'Wiring',
    },
    {
      says: 'Their number is unknown to the one that calls',
      codes: ['ADR 8', 'ADR 9', 'ADR 11', 'CAP 3'],
      tell: 'It calls other numbers.',
      look: 'the ports of the network',
    },
    {
      says: 'Their settings were not sent or not saved',
      codes: ['ADR 18', 'ADR 10'],
      tell: 'After a restart they are as before.',
      look: 'settings',
    },
  ],
};
