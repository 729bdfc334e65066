import { formatBits } from '../../../place/length.js';
import type { Difference, DifferenceOf } from '../../../lane/difference.js';
import type { Side } from '../../../lane/side.js';
import { fewOf } from '../../few-of.js';
import { claimCell, inPageOrder, laneReport, valueCell } from '../../lane-report.js';
import { whereSet } from '../../where-set.js';
import type { Rule } from '../../rule.js';

export const members: Rule = {
  meta: {
    code: 'TYP 9',
    title: 'Both ends know the same values in the same order',
    source: 'common practice: a value is found by where it lies in the block',
    yieldsTo: ['POS 7'],
    messages: {
      missing: {
        severity: 'blocker',
        headline: '{lane}: {names} of {a} has no counterpart at {b}',
        says: ['{aName}: [[{names}]]', '{bName}: [[not there]]'],
        consequence: 'The value is sent and nobody takes it, or it is awaited and never comes.',
        remedy: 'Add it at {b}, or leave it out at {a}.',
      },
      moved: {
        severity: 'blocker',
        headline: '{lane}: {names} lies {aOffset} into the block at {a}, {bOffset} at {b}',
        says: ['{aValue} begins [[{aOffset}]] into the block', '{bValue} begins [[{bOffset}]] into the block'],
        consequence: 'Another value is taken for it.',
        remedy: 'Put the values in one order, or correct the address at one end.',
      },
      order: {
        severity: 'blocker',
        headline:
          '{lane}: {names} lies alike at both ends, but bytes and bits stand in another order: {aOrder} at {a}, {bOrder} at {b}',
        says: ['{aName}: [[{aOrder}]]', '{bName}: [[{bOrder}]]'],
        consequence: 'Another bit is taken for it.',
        remedy: 'Set one order at both ends, or swap bytes at one end. The order is {aSet} at {a}, {bSet} at {b}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const all = comparison.differences.filter((d): d is DifferenceOf<'TYP 9'> => d.code === 'TYP 9');
      for (const how of ['missing', 'extra'] as const) {
        const lost = all.filter((d): d is Extract<Difference, { how: 'missing' | 'extra' }> => d.how === how);
        const [d] = lost;
        if (!d) continue;
        const [has, lacks] = how === 'missing' ? [d.left, d.right] : [d.right, d.left];
        const names = lost.map((x) => x.value.name || 'a value without a name');
        yield laneReport(context, comparison, {
          message: 'missing',
          label: lost.length > 1 ? `${lost.length} have none` : 'no counterpart',
          sides: [has, lacks],
          ...(d.value.key ? { item: d.value.key } : {}),
          cells: [...lost.map((x) => valueCell(has, x.value.key, 'name')), claimCell(lacks, 'items')],
          params: {
            names: fewOf(names),
          },
          subjects: [has.end.id],
        });
      }
      for (const d of all) {
        if (d.how !== 'moved') continue;
        const [first, second] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        const [x, y] = first === d.left ? [d.a, d.b] : [d.b, d.a];
        const start = (side: Side, offset: number) =>
          offset === 0 ? 'at the start' : formatBits(offset, (side.block!.located.view.unit > 8 ? 16 : 8) as 8 | 16);
        yield laneReport(context, comparison, {
          message: x.offset === y.offset ? 'order' : 'moved',
          label: x.offset === y.offset ? 'byte order' : 'another place',
          sides: [first, second],
          ...(x.key ? { item: x.key } : {}),
          cells: [valueCell(first, x.key, 'offset'), valueCell(second, y.key, 'offset')],
          params: {
            names: x.name || y.name,
            aValue: x.name || 'It',
            bValue: y.name || 'It',
            aOffset: start(first, x.offset),
            bOffset: start(second, y.offset),
            aOrder: orderWords(first),
            bOrder: orderWords(second),
            aSet: whereSet(context.reader, first, 'byteOrder'),
            bSet: whereSet(context.reader, second, 'byteOrder'),
          },
          subjects: [x.key],
        });
      }
    },
  },
};

/** `high byte first, bits numbered from the bottom` */
function orderWords(side: Side): string {
  const { highFirst, layout } = side.block!.chain.frame;
  return `${highFirst ? 'high' : 'low'} byte first, bits numbered ${layout.boolNumbering}`;
}
