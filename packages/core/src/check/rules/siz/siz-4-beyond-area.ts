import { formatSpan, spanAddresses } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { usesOfCopy } from '../../../lane/uses.js';
import { childrenOf } from '../../../model/order.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const beyondArea: Rule = {
  meta: {
    code: 'SIZ 4',
    title: 'A claim ends inside its area',
    source: 'common practice: addresses end where the memory ends',
    yieldsTo: ['SIZ 1'],
    messages: {
      beyond: {
        severity: 'blocker',
        headline: '{lane}: {aRange} of {a} lies beyond its {area}, which ends at {last}',
        says: ['{aName}: [[{aRange}]]; the last address of {area} is {last}'],
        consequence: 'The station refuses the block, or the request is answered with an error.',
        remedy: 'Move the block so that it ends at {last} at the latest, or enlarge the area.',
      },
      copyBeyond: {
        severity: 'blocker',
        headline: '{a}: copy {copy} reaches {range}, beyond {area}, which ends at {last}',
        says: ['copy {copy}: [[{range}]]; the last address of {area} is {last}'],
        consequence: 'The station refuses the copy, or moves what lies behind its memory.',
        remedy: 'Shorten it or move it so that it ends at {last} at the latest.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const copy of childrenOf(reader, 'copy', station.id)) {
        for (const use of usesOfCopy(reader, copy)) {
          const memory = memoryOf(reader, use.area);
          if (!memory || copy.station !== station.id || use.spans.every((s) => s.end <= memory.bits)) continue;
          yield {
            message: 'copyBeyond',
            label: 'beyond its area',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'copy', id: copy.id, path: [use.puts ? 'to' : 'from'] }],
            params: {
              a: station.name,
              copy: copy.name,
              area: memory.area.name,
              range: formatSpan(memory, { start: use.spans[0]!.start, end: use.spans.at(-1)!.end }),
              last: spanAddresses(memory, { start: 0, end: memory.bits }).last,
            },
            subjects: [use.id],
          };
        }
      }
    },
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block || block.spans.every((s) => s.start >= 0 && s.end <= block.memory.bits)) continue;
        const { memory } = block;
        yield laneReport(context, comparison, {
          message: 'beyond',
          label: 'beyond its area',
          sides: [side],
          cells: [claimCell(side, 'place')],
          // In the notation of whoever reads it, where an area has several.
          params: {
            area: memory.area.name,
            last: spanAddresses(memory, { start: 0, end: memory.bits }, block.place.view).last,
          },
          subjects: [side.claim.id],
        });
      }
    },
  },
};
