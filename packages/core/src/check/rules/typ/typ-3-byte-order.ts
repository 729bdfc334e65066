import type { Rule } from '../../rule.js';
import { orderMessages, orderReport, swapFixes } from './order-report.js';

export const byteOrder: Rule = {
  meta: {
    code: 'TYP 3',
    title: 'The order of bytes in a word is the same at both ends, or one of them swaps',
    source: 'common practice: two byte orders are in use, and where bytes travel one end has to swap',
    yieldsTo: ['POS 1', 'SIZ 8'],
    messages: orderMessages('bytes'),
  },
  on: {
    *lane(comparison, context) {
      const report = orderReport(
        context,
        comparison,
        'TYP 3',
        'byte order',
        'byteOrder',
        (side) => `${side.block!.chain.frame.highFirst ? 'high' : 'low'} byte first`,
      );
      if (report) yield report;
    },
  },
  fixes: swapFixes,
};
