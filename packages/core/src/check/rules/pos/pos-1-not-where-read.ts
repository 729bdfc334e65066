import { formatAddress } from '../../../place/format-address.js';
import { memoryOf } from '../../../place/memory.js';
import { set } from '../../../change/make.js';
import { toldBeside, unitFactor } from '../../../lane/told-place.js';
import type { Side } from '../../../lane/side.js';
import { readable } from '../../../model/as-typed.js';
import type { Reader } from '../../../model/project.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { tagOf } from '../../../place/open-of.js';
import type { Cell } from '../../../finding/finding.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Message, Rule } from '../../rule.js';

const TOLD: Message = {
  severity: 'blocker',
  headline: '{lane}: {a} asks for {told}, {b} has it at {bRange}',
  says: ['{aName}: asks {b} for [[{told}]], {aLength}', '{bName}: {bDoes} [[{bRange}]]'],
  consequence: 'Other registers of {b} are read or overwritten.',
  remedy: 'Type the place that {b} states, or move it there.',
};

export const notWhereRead: Rule = {
  meta: {
    code: 'POS 1',
    title: 'A request names the place where the other end has the data',
    source: 'MODBUS Application Protocol Specification V1.1b3, 4.4: a request names the addresses of the answering end',
    yieldsAtCell: ['POS 8', 'SIZ 4', 'POS 11'],
    messages: {
      told: TOLD,
      factor: {
        ...TOLD,
        headline:
          '{lane}: {a} asks for {told}, {b} has it at {bRange}: {factor}× the other: the ends count in different units',
        remedy: 'Type the place that {b} states, in the units that {b} counts.',
      },
      same: {
        severity: 'blocker',
        headline: '{lane}: {aRange} at {a}, {bRange} at {b}, and {protocol} has one place for both',
        says: ['{aName}: {aDoes} [[{aRange}]]', '{bName}: {bDoes} [[{bRange}]]'],
        consequence: 'What is written is not where it is read.',
        remedy: 'Move the block at one end to the place of the other.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const told = new Set<string>();
      for (const difference of comparison.differences) {
        if (difference.code !== 'POS 1') continue;
        const { left: caller, right: other, how } = difference;
        if (how === 'same') {
          yield laneReport(context, comparison, {
            message: 'same',
            label: 'another place',
            sides: [caller, other],
            cells: [claimCell(caller, 'place'), claimCell(other, 'place')],
            params: { protocol: protocolOf(comparison.exchange).name },
          });
          continue;
        }
        // Of several partners that have it elsewhere than one end says, the first is named.
        if (told.has(caller.claim.id)) continue;
        const text = caller.claim.toldPlace!.trim();
        const factor = factorOf(context.reader, text, other);
        yield laneReport(context, comparison, {
          message: factor === null ? 'told' : 'factor',
          label: factor === null ? 'another place' : `place ×${factor}`,
          sides: [caller, other],
          cells: [claimCell(caller, 'toldPlace'), claimCell(other, 'place'), ...listed(context.reader, other)],
          params: { told: text, factor: String(factor ?? '') },
          subjects: told.size === 0 ? [] : [caller.claim.id],
        });
        told.add(caller.claim.id);
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message === 'same') return [];
    const caller = reader.get('claim', finding.cells[0]!.id)!;
    const place = readable(reader.get('claim', finding.cells[1]!.id)!.place);
    const memory = place && memoryOf(reader, place.area);
    if (!place || !memory) return [];
    const text = formatAddress(memory, place);
    const label = `${finding.params.a} asks for ${text}`;
    return [{ label, changes: [set('claim', caller, ['toldPlace'], text)] }];
  },
};

/** Where the place of a tag is the one of its list. */
function listed(reader: Reader, side: Side): Cell[] {
  const tag = tagOf(reader, side.claim);
  return tag ? [{ kind: 'tag', id: tag.id, path: ['place'] }] : [];
}

function factorOf(reader: Reader, told: string, other: Side): number | null {
  const beside = toldBeside(reader, told, other.block!);
  return beside && beside.true > 0 ? unitFactor(beside.told, beside.true) : null;
}
