import type { Claim } from '../model/claim.js';
import { tagOf } from '../place/open-of.js';
import type { Cell } from '../finding/finding.js';
import { formatType } from '../data/types.js';
import type { DifferenceOf, Value } from '../lane/difference.js';
import type { Side } from '../lane/side.js';
import type { Comparison } from '../lane/compare.js';
import type { Context, Report } from './rule.js';
import { inPageOrder, laneReport, valueCell } from './lane-report.js';

/** A report about one value that both ends have, with `value`, `aValue`, `bValue`, `aType`, `bType` ready. */
export function valuePairReport(
  context: Context,
  comparison: Comparison,
  d: Extract<DifferenceOf<'TYP 1' | 'TYP 2' | 'TYP 10' | 'SIZ 2' | 'SIZ 6'>, { a: Value }>,
  facts: { message: string; label: string },
): Report {
  const [first, second] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
  const [x, y] = first === d.left ? [d.a, d.b] : [d.b, d.a];
  return laneReport(context, comparison, {
    ...facts,
    sides: [first, second],
    ...(x.key ? { item: x.key } : {}),
    cells: [
      ...[valueCell(first, x.key, 'type'), valueCell(second, y.key, 'type')],
      ...[first, second].flatMap(({ claim }) => tagTypeCell(context, claim) ?? []),
    ],
    params: {
      value: x.name || y.name || 'the block',
      aValue: x.name || 'the block',
      bValue: y.name || 'the block',
      aType: formatType(x.type),
      bType: formatType(y.type),
    },
    subjects: [x.key],
  });
}

/** Of a value that is a tag, its type in the list of its station. */
function tagTypeCell({ reader }: Context, claim: Claim): Cell | null {
  const tag = tagOf(reader, claim);
  return tag ? { kind: 'tag', id: tag.id, path: ['type'] } : null;
}
