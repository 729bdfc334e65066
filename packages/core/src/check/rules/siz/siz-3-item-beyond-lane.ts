import { formatBits, lengthBits, formatLength } from '../../../place/length.js';
import { set } from '../../../change/make.js';
import type { Claim, Length } from '../../../model/claim.js';
import { childrenOf } from '../../../model/order.js';
import { formatType } from '../../../data/types.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import { readable } from '../../../model/as-typed.js';
import { bringsToLight } from '../../brings-to-light.js';
import { laneReport, valueCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const itemBeyondLane: Rule = {
  meta: {
    code: 'SIZ 3',
    title: 'A value ends inside its lane',
    source: 'common practice: a block holds whole values',
    yieldsTo: ['SIZ 1', 'TYP 9'],
    yieldsAtCell: ['SIZ 2', 'TYP 1', 'TYP 10 oneRegister'],
    messages: {
      beyond: {
        severity: 'blocker',
        headline: '{lane}: {value} ends {beyond} beyond the {aLength} of {a}{more}',
        says: ['{value}, {type}, ends [[{beyond}]] beyond {aRange}{more}'],
        consequence: 'Its last part is never carried.',
        remedy: 'Make the lane longer at both ends, or move the value.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      // One lane that is too short is one finding, however many values lie beyond its end.
      for (const side of comparison.sides) {
        const beyond = comparison.differences
          .filter((d): d is DifferenceOf<'SIZ 3'> => d.code === 'SIZ 3' && d.left === side)
          .sort((x, y) => y.beyond - x.beyond);
        const [furthest] = beyond;
        if (!furthest) continue;
        const unit = readable(side.claim.length)?.unit ?? 16;
        yield laneReport(context, comparison, {
          message: 'beyond',
          label: `${formatBits(furthest.beyond, unit)} short`,
          sides: [side],
          ...(furthest.value.key ? { item: furthest.value.key } : {}),
          cells: (['type', 'offset'] as const).flatMap((field) =>
            beyond.map((d) => valueCell(side, d.value.key, field)),
          ),
          params: {
            value: furthest.value.name || 'the block',
            type: formatType(furthest.value.type),
            more: beyond.length > 1 ? `, as ${beyond.length - 1} more do` : '',
            beyond: formatBits(furthest.beyond, unit),
            beyondBits: String(furthest.beyond),
          },
          subjects: [side.claim.id],
        });
      }
    },
  },
  /** The lane grows at all its ends alike, as far as each counts in its own unit. */
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]!.id)!;
    const payload = payloadOf(claim);
    const claims = childrenOf(reader, 'claim', claim.lane).filter((c) => payloadOf(c) === payload);
    const units = claims.map((c) => readable(c.length)!.unit);
    const step = Math.max(...units);
    const wanted = Math.ceil(((payload ?? 0) + Number(finding.params.beyondBits)) / step) * step;
    const changes = claims.flatMap((c) => {
      const { unit } = readable(c.length)!;
      const bits = wanted + (c.header ?? 0);
      return bits % unit === 0 ? [set('claim', c, ['length'], { count: bits / unit, unit })] : [];
    });
    const first = readable(claim.length);
    if (payload === null || !first || changes.length < claims.length) return [];
    const lengths = new Map(changes.map((change) => [change.id, change.after as unknown as Length]));
    if (bringsToLight(reader, claim.lane, lengths)) return [];
    const longer = { count: (wanted + (claim.header ?? 0)) / first.unit, unit: first.unit };
    const where = claims.length > 1 ? 'both ends' : finding.params.a;
    return [{ label: `${where}: ${formatLength(first)} → ${formatLength(longer)}`, changes }];
  },
};

/** Bits of the length behind the header; null where that is not known. */
function payloadOf({ length, header }: Claim): number | null {
  const known = readable(length);
  return known ? lengthBits(known) - (header ?? 0) : null;
}
