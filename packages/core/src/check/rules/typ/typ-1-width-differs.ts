import { elementary } from '../../../data/types.js';
import { formatCount } from '../../../place/length.js';
import type { Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const widthDiffers: Rule = {
  meta: {
    code: 'TYP 1',
    title: 'A value has one width at both ends',
    source: 'IEC 61131-3, elementary data types: each has its number of bits',
    yieldsTo: ['SIZ 1', 'TYP 10'],
    messages: {
      differs: {
        severity: 'blocker',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}',
        says: ['{aValue} is [[{aType}]], {aBits}', '{bValue} is [[{bType}]], {bBits}'],
        consequence: 'Only part of the value arrives, or its neighbour is taken for part of it.',
        remedy: 'Give the value one type at both ends.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'TYP 1') continue;
        const report = valuePairReport(context, comparison, d, { message: 'differs', label: 'width' });
        const bits = (type: string) => formatCount(elementary(type.split(/[ [×]/)[0]!)?.bits ?? 0, 1);
        const { aType = '', bType = '' } = report.params;
        yield { ...report, params: { ...report.params, aBits: bits(aType), bBits: bits(bType) } };
      }
    },
  },
};
