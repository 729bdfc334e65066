import { formatBits } from '../../../address/length.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const oddBytes: Rule = {
  meta: {
    code: 'SIZ 8',
    title: 'A block in a view that counts words is of whole words',
    source: 'common practice: memory that is numbered in words is read and written in whole words',
    yieldsTo: ['SIZ 1'],
    messages: {
      odd: {
        severity: 'blocker',
        headline: '{lane}: {aLength} of {a} are no whole number of words, and {address} counts words',
        says: ['{aName}: [[{aLength}]], {aRange}; {over} over'],
        consequence: 'The station takes whole words only: the last byte is lost, or another one travels along.',
        remedy: 'Make the length a whole number of words at both ends.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block || block.located.view.unit < 16 || block.place.bit !== undefined) continue;
        const over = block.lengthBits % 16;
        if (over === 0 || block.lengthBits < 16) continue;
        yield laneReport(context, comparison, {
          message: 'odd',
          label: 'odd bytes',
          sides: [side],
          cells: [claimCell(side, 'length')],
          params: { address: block.located.view.name || 'its view', over: formatBits(over, 8) },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
