import type { Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const familyDiffers: Rule = {
  meta: {
    code: 'TYP 2',
    title: 'A value is of one kind at both ends',
    source: 'IEC 61131-3, elementary data types; IEEE 754 for the bits of a real number',
    yieldsTo: ['TYP 1'],
    messages: {
      real: {
        severity: 'blocker',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'The bits of a real number are read as an integer: the value is nonsense.',
        remedy: 'Give the value one type at both ends, or convert it before it is sent.',
      },
      sign: {
        severity: 'doubt',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'The same bits arrive; a value with its highest bit set is shown with another sign.',
        remedy: 'Give the value one type, or confirm that it never becomes that large.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'TYP 2') continue;
        const message = d.blocks ? 'real' : 'sign';
        yield valuePairReport(context, comparison, d, { message, label: d.blocks ? 'kind of number' : 'sign' });
      }
    },
  },
};
