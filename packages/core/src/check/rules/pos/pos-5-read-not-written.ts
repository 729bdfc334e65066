import type { Rule } from '../../rule.js';
import { unmatchedUses } from './area-flow.js';

export const readNotWritten: Rule = {
  meta: {
    code: 'POS 5',
    title: 'What is sent from a place is put there by somebody',
    source: 'common practice: a value needs a source',
    messages: {
      neverPut: {
        severity: 'doubt',
        headline: '{a}: {range} of {area} is sent, but nothing puts data there',
        says: ['[[{range}]] of {area} is sent; no program and no exchange writes it'],
        consequence: 'The reader gets what happened to stand there.',
        remedy: 'Name the area’s own writer, or let an exchange put the data there.',
      },
    },
  },
  on: { area: (area, context) => unmatchedUses(area, context, 'put') },
};
