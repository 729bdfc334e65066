import { set } from '../../../change/make.js';
import { itemFacts } from '../../../lane/item-facts.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const unitsDiffer: Rule = {
  meta: {
    code: 'TYP 8',
    title: 'Both ends count a value in the same unit and scale',
    source: 'common practice: a number without its unit is read as another quantity',
    messages: {
      units: {
        severity: 'doubt',
        headline: '{lane}: {value} counts {aUnit} at {a} and {bUnit} at {b}',
        says: ['{aValue}: [[{aUnit}]]', '{bValue}: [[{bUnit}]]'],
        consequence: 'The number arrives, and means another quantity.',
        remedy: 'Settle unit and scale, or convert at one end and write there what arrives.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const [a, ...others] = comparison.sides;
      if (!a || !itemFacts(a.claim).unit) return;
      for (const b of others) {
        for (const key in a.claim.items) {
          const x = a.claim.items[key]!;
          if (!x.unit) continue;
          const y = b.claim.items[key];
          if (!y?.unit || plain(x.unit) === plain(y.unit)) continue;
          yield laneReport(context, comparison, {
            message: 'units',
            label: 'unit',
            sides: [a, b],
            item: key,
            cells: [claimCell(b, 'items', key, 'unit'), claimCell(a!, 'items', key, 'unit')],
            params: {
              ...{ value: x.name || y.name, aValue: x.name, bValue: y.name },
              ...{ aUnit: x.unit, bUnit: y.unit },
            },
            subjects: [b.claim.id, key],
          });
        }
      }
    },
  },
  fixes(finding, reader) {
    const { a, b, aUnit, bUnit } = finding.params;
    return finding.cells.flatMap((cell, i) => {
      const claim = reader.get('claim', cell.id);
      const [at, unit] = i === 0 ? [b, aUnit] : [a, bUnit];
      return claim ? [{ label: `${at}: ${unit}`, changes: [set('claim', claim, cell.path, unit)] }] : [];
    });
  },
};

/** `0.1 °C`, `0,1°C`: without spaces, with a point, in small letters but for the unit's own capitals. */
const plain = (unit: string): string => unit.replace(/\s+/g, '').replace(',', '.');
