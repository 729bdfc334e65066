import type { Rule } from '../../rule.js';
import { unmatchedReport, unmatchedUses } from './area-flow.js';

export const writtenNotRead: Rule = {
  meta: {
    code: 'POS 6',
    title: 'What is put in a place is used by somebody',
    source: 'common practice: data that nobody reads need not travel',
    yieldsTo: ['POS 1', 'TYP 9'],
    yieldsAtCell: ['POS 5 notSeen', 'POS 5 overwritten'],
    messages: {
      neverTaken: {
        severity: 'hint',
        headline: '{a}: {range} of {area} is filled ({what}), but nobody reads it',
        says: ['{what}: [[{range}]] of {area} is filled; no program and no exchange reads it'],
        consequence: 'The data is sent but never used.',
        remedy: 'Leave the lane out, or say who uses the data.',
      },
    },
  },
  // What is put into an output image goes to the terminals.
  on: {
    *area(area, context) {
      if (area.kind === 'output image') return;
      for (const one of unmatchedUses(area, context, 'taken')) {
        const report = unmatchedReport(area, context, one);
        if (report) yield report;
      }
    },
  },
};
