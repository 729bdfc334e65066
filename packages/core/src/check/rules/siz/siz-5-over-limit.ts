import { formatBits } from '../../../address/length.js';
import { readable } from '../../../model/as-typed.js';
import { protocolAt } from '../../../protocol/catalogue.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const overLimit: Rule = {
  meta: {
    code: 'SIZ 5',
    title: 'No lane is longer than one transfer of its protocol',
    source:
      'the protocol: MODBUS Application Protocol V1.1b3, 6.3 and 6.12: 125 registers read, 123 written; others theirs',
    messages: {
      over: {
        severity: 'blocker',
        headline: '{lane}: {aLength}, and {protocol} {moves} at most {most} at once',
        says: ['{aName}: [[{aLength}]], {aRange}'],
        consequence: 'The request is refused, or only its beginning arrives.',
        remedy: 'Divide it into lanes of at most {most}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const side = comparison.sides.find((s) => s.end.calling === 'calls') ?? comparison.sides[0];
      const direction = side && readable(side.claim.direction);
      if (!side?.block || !direction) return;
      const protocol = protocolAt(comparison.exchange, side.end);
      if (!protocol.limit) return;
      // One that reads and writes is bound by the smaller of the two.
      const { reads, writes } = protocol.limit;
      const most = direction === 'both' ? Math.min(reads, writes) : protocol.limit[direction];
      if (side.block.payloadBits <= most) return;
      yield laneReport(context, comparison, {
        message: 'over',
        label: 'too long',
        sides: [side],
        cells: [claimCell(side, 'length')],
        params: {
          ...{ protocol: protocol.name, most: formatBits(most, readable(side.claim.length)?.unit ?? 16) },
          moves: direction === 'both' ? 'moves' : direction,
        },
      });
    },
  },
};
