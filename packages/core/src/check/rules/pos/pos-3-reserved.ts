import { spanAddresses } from '../../../address/format-address.js';
import { entriesInOrder } from '../../../model/order.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const reservedRange: Rule = {
  meta: {
    code: 'POS 3',
    title: 'No claim lies in a reserved range',
    source: 'common practice: a module’s own block is not free for data',
    messages: {
      used: {
        severity: 'blocker',
        headline: '{lane}: {aRange} of {a} runs into {from}–{to}, reserved for {owner}',
        says: ['{aName}: {aDoes} [[{aRange}]]; {from}–{to} is reserved for {owner}'],
        consequence: '{owner} and the exchange overwrite each other.',
        remedy: 'Move the block out of {from}–{to}.',
      },
      outside: {
        severity: 'blocker',
        headline: '{area} of {a}: the range reserved for {owner} does not lie in the area',
        says: ['{area} ends before the range reserved for {owner} does'],
        consequence: 'The reservation protects nothing.',
        remedy: 'Correct its start or length, or the size of the area.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block) continue;
        const { memory } = block;
        for (const [id, r] of entriesInOrder(memory.area.reservations)) {
          const end = r.start + r.length;
          if (!block.spans.some((s) => s.start < end && r.start < s.end)) continue;
          const { first: from, last: to } = spanAddresses(memory, { start: r.start, end });
          yield laneReport(context, comparison, {
            message: 'used',
            label: 'reserved',
            sides: [side],
            cells: [claimCell(side, 'place')],
            params: { owner: r.owner, from, to },
            subjects: [side.claim.id, id],
          });
        }
      }
    },
    *area(area, { reader }) {
      const station = reader.get('station', area.station);
      for (const [id, r] of entriesInOrder(area.reservations)) {
        if (!station || r.start + r.length <= area.words * area.wordBits) continue;
        yield {
          message: 'outside',
          label: 'outside the area',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'area', id: area.id, path: ['reservations', id, 'start'] }],
          params: { area: area.name, a: station.name, owner: r.owner },
          subjects: [area.id, id],
        };
      }
    },
  },
};
