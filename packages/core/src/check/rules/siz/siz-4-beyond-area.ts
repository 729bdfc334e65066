import { spanAddresses } from '../../../address/format-address.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const beyondArea: Rule = {
  meta: {
    code: 'SIZ 4',
    title: 'A claim ends inside its area',
    source: 'common practice: addresses end where the memory ends',
    messages: {
      beyond: {
        severity: 'blocker',
        headline: '{lane}: {aRange} of {a} lies beyond its {area}, which ends at {last}',
        says: ['{aName}: [[{aRange}]]; the last address of {area} is {last}'],
        consequence: 'The station refuses the block, or the request is answered with an error.',
        remedy: 'Move the block so that it ends at {last} at the latest, or enlarge the area.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block || block.spans.every((s) => s.start >= 0 && s.end <= block.memory.bits)) continue;
        const { memory } = block;
        yield laneReport(context, comparison, {
          message: 'beyond',
          label: 'beyond its area',
          sides: [side],
          cells: [claimCell(side, 'place')],
          params: { area: memory.area.name, last: spanAddresses(memory, { start: 0, end: memory.bits }).last },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
