import type { Rule } from '../../rule.js';
import { orderMessages, orderReport, swapFixes } from './order-report.js';

export const registerOrder: Rule = {
  meta: {
    code: 'TYP 5',
    title: 'The order of registers in a longer value is the same at both ends, or one of them swaps',
    source: 'common practice: MODBUS Application Protocol Specification V1.1b3 knows 16-bit registers only',
    messages: orderMessages('registers'),
  },
  on: {
    *lane(comparison, context) {
      const report = orderReport(
        context,
        comparison,
        'TYP 5',
        'register order',
        'registerOrder',
        (side) => `${side.block!.chain.frame.layout.registerOrder.replace(' first', ' register first')}`,
      );
      if (report) yield report;
    },
  },
  fixes: swapFixes,
};
