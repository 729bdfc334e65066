import { formatSpan } from '../../../address/format-address.js';
import { overlappingUsers } from '../../overlapping-users.js';
import type { Rule } from '../../rule.js';

export const lanesOverlap: Rule = {
  meta: {
    code: 'POS 9',
    title: 'Lanes of one exchange do not arrive in one place',
    source: 'common practice: each block of a connection has a place of its own',
    messages: {
      overlap: {
        severity: 'blocker',
        headline: '{exchange}: {aLane} and {bLane} both arrive in {shared} of {a}',
        says: ['{aLane} arrives in [[{aRange}]]', '{bLane} arrives in [[{bRange}]]'],
        consequence: 'Each transfer overwrites what the other brought.',
        remedy: 'Move one of the two to a free place.',
      },
    },
  },
  on: {
    *overlap(overlap, { reader }) {
      const found = overlappingUsers(reader, overlap);
      if (!found) return;
      const { memory, first, second } = found;
      const { exchange } = first;
      if (!exchange || exchange.id !== second.exchange?.id) return;
      yield {
        message: 'overlap',
        label: 'lanes overlap',
        about: { kind: 'exchange', id: exchange.id, name: exchange.name },
        lane: first.lane!.id,
        parties: [{ station: memory.station.id, end: first.end!.id }],
        cells: [first.cell, second.cell],
        params: {
          exchange: exchange.name,
          a: memory.station.name,
          aLane: first.name,
          bLane: second.name,
          aRange: first.range,
          bRange: second.range,
          shared: formatSpan(memory, overlap.shared),
        },
        subjects: [overlap.a.area, first.id, second.id],
      };
    },
  },
};
