import { set } from '../../../change/make.js';
import { itemFacts } from '../../../lane/item-facts.js';
import type { Comparison } from '../../../lane/compare.js';
import { readable } from '../../../model/as-typed.js';
import type { Tag } from '../../../model/tag.js';
import { tagOf } from '../../../place/open-of.js';
import { formatScaling } from '../../../data/scaling.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Context, Report, Rule } from '../../rule.js';

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
      tags: {
        severity: 'doubt',
        headline: '{lane}: {aValue} of {a} has {aUnit}, {bValue} of {b} has {bUnit}',
        says: ['{aValue}: [[{aUnit}]]', '{bValue}: [[{bUnit}]]'],
        consequence: 'The number arrives, and means another quantity.',
        remedy: 'Settle unit and scale, or convert at one end and write there what arrives.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      yield* taggedUnits(comparison, context);
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
              value: x.name || y.name,
              aValue: x.name,
              bValue: y.name,
              aUnit: x.unit,
              bUnit: y.unit,
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
      const [at, unit] = i === 0 ? [b, aUnit] : [a, bUnit];
      const tag = reader.get('tag', cell.id);
      const other = tag && reader.get('tag', finding.cells[1 - i]!.id);
      if (tag && other) {
        const field = cell.path[0] as 'unit' | 'scaling';
        return [{ label: `${tag.name}: ${unit}`, changes: [set('tag', tag, cell.path, other[field])] }];
      }
      const claim = reader.get('claim', cell.id);
      return claim ? [{ label: `${at}: ${unit}`, changes: [set('claim', claim, cell.path, unit)] }] : [];
    });
  },
};

/** `0.1 °C`, `0,1°C`: without spaces, with a point, in small letters but for the unit's own capitals. */
const plain = (unit: string): string => unit.replace(/\s+/g, '').replace(',', '.');

/** Unit and scaling of the tags that both ends are bound to. */
function* taggedUnits(comparison: Comparison, context: Context): Generator<Report> {
  const [a, ...others] = comparison.sides;
  const first = a && tagOf(context.reader, a.claim);
  if (!a || !first) return;
  for (const b of others) {
    const second = tagOf(context.reader, b.claim);
    if (!second) continue;
    for (const field of ['unit', 'scaling'] as const) {
      const [x, y] = [textOf(first, field), textOf(second, field)];
      if (x === '' || y === '' || plain(x) === plain(y)) continue;
      yield laneReport(context, comparison, {
        message: 'tags',
        label: field,
        sides: [a, b],
        cells: [second, first].map((tag) => ({ kind: 'tag', id: tag.id, path: [field] })),
        params: { aValue: first.name, bValue: second.name, aUnit: x, bUnit: y },
        subjects: [second.id, field],
      });
    }
  }
}

function textOf(tag: Tag, field: 'unit' | 'scaling'): string {
  if (field === 'unit') return tag.unit ?? '';
  const scaling = readable(tag.scaling ?? null);
  return scaling ? formatScaling(scaling) : '';
}
