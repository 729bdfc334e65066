import { formatType } from '../../../data/types.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import type { Side } from '../../../lane/side.js';
import { inPageOrder, laneReport, valueCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const registersOverlap: Rule = {
  meta: {
    code: 'TYP 10',
    title: 'A value of two registers has both of them to itself',
    source: 'common practice: a REAL at register 56 takes 56 and 57',
    messages: {
      oneRegister: {
        severity: 'blocker',
        headline:
          '{lane}: {value} is {aType} at {a}, {bType} at {b}: the one takes several registers for it, the other one',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'Only one register of the value arrives; alone it means nothing.',
        remedy: 'Give the value the longer type at both ends, and move what follows.',
      },
      overlaps: {
        severity: 'blocker',
        headline: '{lane}: {value} of {a} takes {registers} registers, and {neighbour} begins inside them',
        says: ['{value}, [[{type}]], reaches into {neighbour}'],
        consequence: 'Whichever is written last spoils the other.',
        remedy: 'Move {neighbour} behind {value}, at both ends.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const told = new Set<string>();
      for (const d of comparison.differences) {
        if (d.code !== 'TYP 10') continue;
        if (d.how === 'one register') {
          const report = valuePairReport(context, comparison, d, { message: 'oneRegister', label: 'registers' });
          yield report;
          continue;
        }
        if (told.has(d.value.key)) continue;
        told.add(d.value.key);
        yield overlapReport(d);
      }
      function overlapReport(d: Extract<DifferenceOf<'TYP 10'>, { how: 'overlaps' }>) {
        const [side] = inPageOrder(comparison, d.left) as [Side];
        return laneReport(context, comparison, {
          message: 'overlaps',
          label: 'overlaps',
          sides: [side],
          item: d.value.key,
          cells: [valueCell(side, d.neighbour.key, 'offset'), valueCell(side, d.value.key, 'type')],
          params: {
            value: d.value.name || 'a value',
            neighbour: d.neighbour.name || 'the next value',
            type: formatType(d.value.type),
            registers: String(d.value.size / 16),
          },
          subjects: [d.value.key],
        });
      }
    },
  },
};
