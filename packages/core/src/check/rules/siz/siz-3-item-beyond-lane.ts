import { formatBits, lengthBits, formatLength } from '../../../address/length.js';
import { set } from '../../../change/make.js';
import { formatType } from '../../../data/types.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import { readable } from '../../../model/as-typed.js';
import { laneReport, valueCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const itemBeyondLane: Rule = {
  meta: {
    code: 'SIZ 3',
    title: 'A value ends inside its lane',
    source: 'common practice: a block holds whole values',
    yieldsTo: ['SIZ 1'],
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
          cells: beyond.map((d) => valueCell(side, d.value.key, 'type')),
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
  fixes(finding, reader) {
    const claim = reader.get('claim', finding.cells[0]!.id)!;
    const length = readable(claim.length);
    if (!length) return [];
    const bits = lengthBits(length) + Number(finding.params.beyondBits);
    const longer = { count: Math.ceil(bits / length.unit), unit: length.unit };
    const label = `${finding.params.a}: ${formatLength(length)} → ${formatLength(longer)}`;
    return [{ label, changes: [set('claim', claim, ['length'], longer)] }];
  },
};
