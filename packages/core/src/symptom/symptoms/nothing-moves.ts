import type { Symptom } from '../symptom.js';

export const nothingMoves: Symptom = {
  id: 'nothing-moves',
  words: 'Connected, and nothing moves',
  also: ['values frozen', 'does not change', 'zeros', 'no data though connected', 'stale'],
  source: 'common practice',
  causes: [
    {
      says: 'Whoever should write it does not: both ends read, or nobody puts it there',
      codes: ['DIR 1', 'DIR 2', 'POS 5'],
      tell: 'Set the value at its source by hand: it moves.',
      look: 'the sheet of the exchange, directions',
    },
    {
      says: 'Another place is read than is written',
      codes: [
        'POS 1',
        'POS 8',
        'POS 11',
        'SIZ 1',
        'TYP 9',
        'POS 9',
        'HWS 1',
        'HWS 2',
        'HWS 9',
        'ADR 8',
        'TYP 3',
        'TYP 5',
      ],
      tell: 'What is written turns up some places further on.',
      look: 'the sheet, partner addresses',
    },
    {
      says: 'The start sequence waits for a condition',
      codes: ['DIR 12'],
      tell: 'Its status word names the step that it stands at.',
      look: 'How it runs, start',
    },
    {
      says: 'It goes only on change or on demand',
      codes: ['TIM 9'],
      tell: 'Change it at the source: it moves once.',
      look: 'the second line of the lane',
    },
    {
      says: 'The program of the source stands',
      codes: [],
      tell: 'Its run lamp is off.',
      look: 'the station',
    },
    {
      says: 'What is asked for is missing, cannot be read, or lies beyond the end of the memory',
      codes: ['POS 12', 'POS 13', 'SIZ 4'],
      tell: 'The answer is an error that names the address.',
      look: 'the sheet, partner addresses',
    },
  ],
};
