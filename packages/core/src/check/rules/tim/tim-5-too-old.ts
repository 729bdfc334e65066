import { oldestAt } from '../../../follow/oldest.js';
import { readable } from '../../../model/as-typed.js';
import { laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const tooOld: Rule = {
  meta: {
    code: 'TIM 5',
    title: 'A value is not older at its sink than its use allows',
    source: 'common practice: the times that a value can wait on its way add up',
    messages: {
      old: {
        severity: 'blocker',
        headline: '{lane}: up to {age} ms old at {a}, and {most} ms is allowed',
        says: ['{aName}: up to [[{age} ms]] old: {terms}'],
        consequence: 'What is decided by it is decided too late.',
        remedy: 'Shorten the longest of its terms, or allow more.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { mostAge } = comparison.lane;
      if (!mostAge) return;
      for (const side of comparison.sides) {
        if (readable(side.claim.direction) !== 'reads') continue;
        const age = oldestAt(context.reader, side);
        if (age.ms <= mostAge) continue;
        yield laneReport(context, comparison, {
          message: 'old',
          label: 'too old',
          sides: [side],
          cells: [{ kind: 'lane', id: comparison.lane.id, path: ['mostAge'] }],
          params: { age: age.ms.toFixed(0), most: String(mostAge), terms: age.terms.join(' + ') },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
