import { formatAddress } from '../../../address/format-address.js';
import { toldBeside, unitFactor } from '../../../lane/told-place.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

/** Where places are compared, POS 1 names the factor; where lengths differ by one, SIZ 1 does. This is for the rest. */
export const otherUnits: Rule = {
  meta: {
    code: 'SIZ 9',
    title: 'A reference and the place it names are counted in the same units',
    source: 'common practice: byte offset 3000 is word 1500',
    yieldsTo: ['SIZ 1'],
    yieldsAtCell: ['POS 1'],
    messages: {
      factor: {
        severity: 'doubt',
        headline:
          '{lane}: {a} notes {told} for {b}, which has it at {true}: {factor} times, so one end counts other units',
        says: ['{aName}: {b} at [[{told}]], as noted here', '{bName}: {bDoes} [[{bRange}]]'],
        consequence: 'Whoever takes the place from here is sent to the wrong one.',
        remedy: 'Find out in which units {a} counts, and note the place as {b} writes it.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { exchange, sides } = comparison;
      if (protocolOf(exchange).places(exchange.transfer) === 'named') return;
      for (const side of sides) {
        const told = side.claim.toldPlace?.trim() ?? '';
        const other = sides.find((s) => s !== side);
        if (told === '' || !other?.block) continue;
        const beside = toldBeside(context.reader, told, other.block);
        const factor = beside && beside.true > 0 ? unitFactor(beside.told, beside.true) : null;
        if (factor === null) continue;
        yield laneReport(context, comparison, {
          message: 'factor',
          label: `place ×${factor}`,
          sides: [side, other],
          cells: [claimCell(side, 'toldPlace'), claimCell(other, 'place')],
          params: { told, true: formatAddress(other.block.memory, other.block.place), factor: String(factor) },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
