import { formatBits } from '../../../place/length.js';
import { readable } from '../../../model/as-typed.js';
import { itemFacts } from '../../../lane/item-facts.js';
import { valuesOf } from '../../../lane/compare-items.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

/** Bits that nobody asks about. */
const LITTLE = 32 * 16;
/** A block of which less than one part of so many is used is far too long. */
const PART = 4;

export const moreThanUsed: Rule = {
  meta: {
    code: 'SIZ 10',
    title: 'A block is not far longer than its values',
    source: 'common practice: what nobody uses need not travel',
    messages: {
      unused: {
        severity: 'hint',
        headline: '{lane}: {a} asks for {aLength}, and its values take {used}',
        says: ['{aName}: [[{aLength}]]; its values end after {used}'],
        consequence: 'Unused data takes line time and memory.',
        remedy: 'Shorten the block at both ends, or say what else is in it.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block || block.payloadBits < LITTLE) continue;
        const { last } = itemFacts(side.claim);
        if (last < 0 || last * PART >= block.payloadBits) continue;
        const values = valuesOf(side);
        if (!values) continue;
        const used = Math.max(0, ...[...values.values()].map((v) => v.offset + v.size));
        if (used * PART >= block.payloadBits) continue;
        yield laneReport(context, comparison, {
          message: 'unused',
          label: 'mostly unused',
          sides: [side],
          cells: [claimCell(side, 'length')],
          params: { used: formatBits(used, readable(side.claim.length)?.unit ?? 16) },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
