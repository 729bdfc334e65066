import { spanAddresses } from '../../../address/format-address.js';
import { overlappingSides, type OverlappingSide } from '../../overlapping-sides.js';
import type { Rule } from '../../rule.js';

export const twoWriters: Rule = {
  meta: {
    code: 'POS 2',
    title: 'One writer for every bit, or one that has the last word',
    source: 'common practice: of two that write one place, the later overwrites the earlier',
    yieldsTo: ['POS 9'],
    messages: {
      cyclic: {
        severity: 'blocker',
        headline: '{area} of {a}: {aLane} and {bLane} both put data into {shared}',
        says: ['{aLane} puts data into [[{aRange}]]', '{bLane} puts data into [[{bRange}]]'],
        consequence: 'Each overwrites the other; what stands there depends on which came last.',
        remedy: 'Move one of them to a free place.',
      },
      onRequest: {
        severity: 'doubt',
        headline: '{area} of {a}: {aLane} and {bLane} both put data into {shared}, on request',
        says: ['{aLane} puts data into [[{aRange}]]', '{bLane} puts data into [[{bRange}]]'],
        consequence: 'The later entry stands; nobody sees that the other’s was replaced.',
        remedy: 'Move one of them, or confirm that the last entry is meant to stand.',
      },
    },
  },
  on: {
    *overlap(overlap, { reader }) {
      const found = overlappingSides(reader, overlap);
      if (!found) return;
      const { memory, first, second } = found;
      const sides = [first, second];
      const cyclic = sides.some((s) => s.exchange.transfer === 'cyclic blocks' || s.exchange.cadence !== null);
      const name = (side: OverlappingSide) => `${side.exchange.name}, ${side.name}`;
      yield {
        message: cyclic ? 'cyclic' : 'onRequest',
        label: 'two writers',
        about: { kind: 'exchange', id: first.exchange.id, name: first.exchange.name },
        lane: first.lane.id,
        parties: sides.map((s) => ({ station: memory.station.id, end: s.end.id })),
        cells: sides.map(({ claim }) => ({ kind: 'claim', id: claim.id, path: ['place'] })),
        params: {
          a: memory.station.name,
          area: memory.area.name,
          aLane: name(first),
          bLane: name(second),
          aRange: first.range,
          bRange: second.range,
          shared: spanAddresses(memory, overlap.shared).first,
        },
        subjects: [overlap.a.area, first.claim.id, second.claim.id],
      };
    },
  },
};
