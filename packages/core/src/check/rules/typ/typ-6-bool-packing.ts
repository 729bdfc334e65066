import type { Rule } from '../../rule.js';
import { orderReport, swapFixes } from './order-report.js';

export const boolPacking: Rule = {
  meta: {
    code: 'TYP 6',
    title: 'Single bits are packed alike at both ends',
    source: 'common practice: BOOLs lie one a bit, a byte or a word, numbered from the bottom or the top',
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{lane}: {value}{more}: {aOrder} at {a}, {bOrder} at {b}',
        says: ['{aName}: [[{aOrder}]]', '{bName}: [[{bOrder}]]'],
        consequence: 'Each bit arrives as another one.',
        remedy:
          'Pack the bits alike, or send them as a word and take it apart. The packing is {aSet} at {a}, {bSet} at {b}.',
      },
      noSwap: {
        severity: 'blocker',
        headline: '{lane}: {value}{more}: {aOrder} at {a}, {bOrder} at {b}',
        says: ['{aName}: [[{aOrder}]]', '{bName}: [[{bOrder}]]'],
        consequence: 'Each bit arrives as another one.',
        remedy:
          'Pack the bits alike, or send them as a word and take it apart. The packing is {aSet} at {a}, {bSet} at {b}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const report = orderReport(
        context,
        comparison,
        'TYP 6',
        'packing of bits',
        'boolPacking',
        (side) =>
          `one a ${side.block!.chain.frame.layout.boolPacking}, numbered ${side.block!.chain.frame.layout.boolNumbering}`,
      );
      if (report) yield report;
    },
  },
  fixes: swapFixes,
};
