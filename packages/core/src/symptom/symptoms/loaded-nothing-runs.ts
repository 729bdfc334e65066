import type { Symptom } from '../symptom.js';

export const loadedNothingRuns: Symptom = {
  id: 'loaded-nothing-runs',
  words: 'It was loaded, and nothing runs',
  also: ['after download', 'does not start', 'stays in stop', 'loaded but dead'],
  source: 'common practice: a load stops a controller',
  causes: [
    {
      says: 'A load stops it, and nobody started it again',
      codes: [],
      tell: 'Its run lamp is off.',
      look: 'the station',
    },
    {
      says: 'What was loaded names other modules than are there',
      codes: ['HWS 2', 'HWS 5', 'HWS 7', 'HWS 8', 'HWS 10'],
      tell: 'It shows a fault of its configuration.',
      look: 'Modules of the rack',
    },
    {
      says: 'Its outputs wait for a release',
      codes: ['DIR 9'],
      tell: 'The program runs, the outputs do not.',
      look: 'How it runs, loss and return',
    },
    {
      says: 'The start sequence is not complete',
      codes: ['DIR 12'],
      tell: 'Its status word names the step.',
      look: 'How it runs, start',
    },
    {
      says: 'The address is not in force before a restart',
      codes: ['ADR 18', 'DOC 6'],
      tell: 'After a restart it is reached.',
      look: 'settings',
    },
  ],
};
