import type { Rule } from '../../rule.js';
import { orderMessages, orderReport, swapFixes } from './order-report.js';

export const byteOrder: Rule = {
  meta: {
    code: 'TYP 3',
    title: 'The order of bytes in a word is the same at both ends, or one of them swaps',
    source: 'common practice: two byte orders are in use, and where bytes travel one end has to swap',
    yieldsTo: ['SIZ 8'],
    messages: {
      ...orderMessages('bytes'),
      across: {
        severity: 'blocker',
        headline:
          '{lane}: {aOrder} at both ends, and the bytes of {type} do not meet: one end begins within a word, or counts its bits',
        says: ['{aName}: {aDoes} {type}, [[{aRange}]], {aSwap}', '{bName}: {bDoes} it, [[{bRange}]], {bSwap}'],
        consequence: 'A {type} of {sample} arrives as {seen}.',
        remedy: 'Let the block begin at a whole word at both ends, or write both addresses in words.',
      },
    },
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
      // Where both have one order, the value begins in the middle of a word at one of them, or is read bit by bit there.
      const alike = report?.params.aOrder === report?.params.bOrder;
      if (report) yield alike ? { ...report, message: 'across' } : report;
    },
  },
  fixes: swapFixes,
};
