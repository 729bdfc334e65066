import { lengthBits } from '../../../place/length.js';
import { set } from '../../../change/make.js';
import { sameType, elementary, formatType, parseType } from '../../../data/types.js';
import { readable } from '../../../model/as-typed.js';
import type { TypeRef } from '../../../model/claim.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import type { Side } from '../../../lane/side.js';
import { inPageOrder, laneReport, valueCell } from '../../lane-report.js';
import { listedInside } from './listed-inside.js';
import type { Report, Rule } from '../../rule.js';
import { valuePairReport } from '../../value-pair-report.js';

export const registersOverlap: Rule = {
  meta: {
    code: 'TYP 10',
    title: 'A value of two registers has both of them to itself',
    source: 'common practice: a REAL at register 56 takes 56 and 57',
    messages: {
      oneRegister: {
        severity: 'blocker',
        headline: '{lane}: {value} is {aType} at {a}, {bType} at {b}: several registers at one end, one at the other',
        says: ['{aValue} is [[{aType}]]', '{bValue} is [[{bType}]]'],
        consequence: 'Only one register of the value arrives; alone it means nothing.',
        remedy: 'Give the value the longer type at both ends, and move what follows.',
      },
      overlaps: {
        yieldsAtCell: ['SIZ 2', 'TYP 10 oneRegister'],
        severity: 'blocker',
        headline: '{lane}: {value} of {a} takes {registers} registers, and {neighbour} begins inside them',
        says: ['{value}, [[{type}]], reaches into {neighbour}'],
        consequence: 'Whichever is written last spoils the other.',
        remedy: 'Move {neighbour} behind {value}, at both ends.',
      },
      listed: {
        severity: 'blocker',
        headline: '{a}: {value} takes {range}, and the list has {neighbour} at {address}, inside it',
        says: ['{value}: [[{range}]]; {neighbour} at [[{address}]]'],
        consequence: 'Whichever is written last spoils the other.',
        remedy: 'Correct the address or the type of one of the two.',
      },
    },
  },
  on: {
    *area(area, context): Generator<Report> {
      yield* listedInside(area, context);
    },
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
  /** The end that took one register takes all of them; a block without values grows with it. */
  fixes(finding, reader) {
    if (finding.message !== 'oneRegister') return [];
    const { a, b, aType, bType } = finding.params;
    const [x, y] = [parseType(aType!), parseType(bType!)];
    if (!x.ok || !y.ok) return [];
    const [long, at] = bitsOf(x.value) < bitsOf(y.value) ? [y.value, a] : [x.value, b];
    // Where the tag of an end is longer than that end says here, both take the type of the tag.
    const changes = finding.cells.flatMap((cell) => {
      const claim = reader.get('claim', cell.id);
      if (!claim) return [];
      const known = readable(cell.path[0] === 'items' ? (claim.items[cell.path[1]!]?.type ?? null) : claim.type);
      if (known && sameType(known, long)) return [];
      const length = readable(claim.length);
      const grown = !finding.item && length && lengthBits(length) < bitsOf(long);
      const longer = length && { count: bitsOf(long) / length.unit, unit: length.unit };
      return [set('claim', claim, cell.path, long), ...(grown ? [set('claim', claim, ['length'], longer)] : [])];
    });
    return [{ label: `${at}: ${formatType(long)}`, changes }];
  },
};

const bitsOf = ({ base, count }: TypeRef): number => (elementary(base)?.bits ?? 0) * count;
