import { set } from '../../../change/make.js';
import type { Side } from '../../../lane/side.js';
import { claimCell, inPageOrder, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const notPaired: Rule = {
  meta: {
    code: 'DIR 7',
    title: 'Slots of a coupler pair: what one side calls slot 3 is slot 3 of the other',
    source: 'common practice: a coupler hands the data of a slot to the slot of the same number on its other side',
    messages: {
      slots: {
        severity: 'blocker',
        headline: '{lane}: slot {aSlot} at {a}, slot {bSlot} at {b}',
        says: ['{aName}: slot [[{aSlot}]]', '{bName}: slot [[{bSlot}]]'],
        consequence: 'Each end exchanges with another slot than the one that is meant.',
        remedy: 'Settle the slot, and enter the same at both ends.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'DIR 7') continue;
        const [a, b] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        const [x, y] = [String(a.claim.slot), String(b.claim.slot)];
        yield laneReport(context, comparison, {
          message: 'slots',
          label: `slot ${x} ≠ ${y}`,
          sides: [a, b],
          cells: [claimCell(b, 'slot'), claimCell(a, 'slot')],
          params: { aSlot: x, bSlot: y },
        });
      }
    },
  },
  fixes(finding, reader) {
    const { a, b, aSlot, bSlot } = finding.params;
    return finding.cells.flatMap((cell, i) => {
      const claim = reader.get('claim', cell.id);
      const [at, slot] = i === 0 ? [b, aSlot] : [a, bSlot];
      if (!claim) return [];
      return [{ label: `${at}: slot ${slot}`, changes: [set('claim', claim, ['slot'], Number(slot))] }];
    });
  },
};
