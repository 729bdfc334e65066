import { formatAddress, placeAlong } from '../../../place/format-address.js';
import { valuesOf } from '../../../lane/compare-items.js';
import type { Side } from '../../../lane/side.js';
import { elementary } from '../../../data/types.js';
import type { Reader } from '../../../model/project.js';
import type { Alignment } from '../../../model/words.js';
import { laneReport, valueCell } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const misaligned: Rule = {
  meta: {
    code: 'POS 4',
    title: 'A value lies where its station can reach it as a whole',
    source:
      'common practice: many processors reach a value of several bytes only at even addresses, or at multiples of its size',
    messages: {
      misaligned: {
        severity: 'doubt',
        headline: '{lane}: {value} lies at {address} of {a}, which keeps {type} at multiples of {step} bytes',
        says: ['{value}: [[{address}]]; {type} at multiples of {step} bytes'],
        consequence: 'The program cannot declare it there, or reads it from another place.',
        remedy: 'Move it to a multiple of {step} bytes, or the block with it.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        const alignment = block && statedAlignment(context.reader, side);
        if (!block || !alignment || alignment === '1') continue;
        const start = block.located.linear + block.lengthBits - block.payloadBits;
        for (const value of valuesOf(side)?.values() ?? []) {
          const bytes = (elementary(value.type.base)?.bits ?? 0) / 8;
          const step = alignment === 'natural' ? bytes : Math.min(bytes, Number(alignment));
          if (bytes < 2 || (start + value.offset) % (step * 8) === 0) continue;
          const place = placeAlong(block.located, block.place, start - block.located.linear + value.offset, bytes * 8);
          yield laneReport(context, comparison, {
            message: 'misaligned',
            label: 'misaligned',
            sides: [side],
            ...(value.key ? { item: value.key } : {}),
            cells: [valueCell(side, value.key, 'offset')],
            params: {
              value: value.name || 'the block',
              type: value.type.base,
              step: String(step),
              address: formatAddress(block.memory, place),
            },
            subjects: [side.claim.id, value.key],
          });
        }
      }
    },
  },
};

/** The alignment that somebody stated for this claim's memory; what is only assumed raises no Doubt. */
function statedAlignment(reader: Reader, { claim, block, station }: Side): Alignment | undefined {
  const profile = station.profile ? reader.get('profile', station.profile) : undefined;
  const { area } = block!.memory;
  return claim.layout?.alignment ?? area.layout?.alignment ?? station.layout?.alignment ?? profile?.layout.alignment;
}
