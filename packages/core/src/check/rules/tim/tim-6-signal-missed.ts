import { slowestSampling } from '../../../follow/oldest.js';
import { readable } from '../../../model/as-typed.js';
import { laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const signalMissed: Rule = {
  meta: {
    code: 'TIM 6',
    title: 'The shortest signal outlasts the slowest sampling on its way',
    source: 'common practice: a signal shorter than the time between two looks can come and go unseen',
    messages: {
      missed: {
        severity: 'doubt',
        headline: '{lane}: a signal of {shortest} ms can be missed by {a}: {what} looks every {every} ms',
        says: ['{what}: every [[{every} ms]]; the shortest signal lasts {shortest} ms'],
        consequence: 'It is sometimes seen and sometimes not.',
        remedy: 'Hold the signal for longer than {every} ms at its source, or look more often.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { shortest } = comparison.lane;
      if (!shortest) return;
      for (const side of comparison.sides) {
        if (readable(side.claim.direction) !== 'reads') continue;
        const slowest = slowestSampling(context.reader, side);
        if (!slowest || slowest.ms < shortest) continue;
        yield laneReport(context, comparison, {
          message: 'missed',
          label: 'can be missed',
          sides: [side],
          cells: [{ kind: 'lane', id: comparison.lane.id, path: ['shortest'] }],
          params: { shortest: String(shortest), every: String(slowest.ms), what: slowest.what },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
