import type { Rule } from '../../rule.js';
import { orderReport, swapFixes } from './order-report.js';

export const wrongSwap: Rule = {
  meta: {
    code: 'TYP 4',
    title: 'A swap is set at one end at most, and only where every value of the lane needs it',
    source: 'common practice: a swap is blind, it exchanges whatever lies there',
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{lane}: {value}{more} is corrupted by a swap: {aSwap} at {a}, {bSwap} at {b}',
        says: ['{aName}: {aDoes} {type}, [[{aSwap}]]', '{bName}: {bDoes} it, [[{bSwap}]]'],
        consequence: 'A {type} of {sample} arrives as {seen}.',
        remedy: 'Take the swap out, or put longer values first, at even words.',
      },
      noSwap: {
        severity: 'blocker',
        headline: '{lane}: {value}{more} is corrupted by a swap: {aSwap} at {a}, {bSwap} at {b}',
        says: ['{aName}: {aDoes} {type}, [[{aSwap}]]', '{bName}: {bDoes} it, [[{bSwap}]]'],
        consequence: 'A {type} of {sample} arrives as {seen}.',
        remedy: 'No one swap suits all values, {stuck} would be spoilt: give values of one size a lane of their own.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const report = orderReport(context, comparison, 'TYP 4', 'swap', null, () => '');
      if (report) yield report;
    },
  },
  fixes: swapFixes,
};
