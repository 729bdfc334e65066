import { formatAddress } from '../../../address/format-address.js';
import { memoryOf } from '../../../address/memory.js';
import { set } from '../../../change/make.js';
import { referenceOf } from '../../../lane/compare.js';
import { namedTag } from '../../../lane/named-tag.js';
import { mirrorDifference, toldBeside, tellsPlace, toldDifference, unitFactor } from '../../../lane/told-place.js';
import { sidesOf } from '../../../lane/sides-of.js';
import type { Side } from '../../../lane/side.js';
import { readable } from '../../../model/as-typed.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { tagOf } from '../../../tags/open-of.js';
import type { Cell } from '../../finding.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Message, Rule } from '../../rule.js';

const TOLD: Message = {
  severity: 'blocker',
  headline: '{lane}: {a} asks for {told}, {b} has it at {bRange}',
  says: ['{aName}: asks {b} for [[{told}]], {aLength}', '{bName}: {bDoes} [[{bRange}]]'],
  consequence: 'Other registers of {b} are read or overwritten.',
  remedy: 'Type the place that {b} states, or move it there.',
};

/** Run for the exchange, since a shift of all its references is one finding of another rule. */
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
        headline: '{lane}: {a} asks for {told}, {b} has it at {bRange}: {factor} times, so one end counts other units',
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
    *exchange(exchange, context) {
      const protocol = protocolOf(exchange);
      const places = protocol.places(exchange.transfer);
      for (const lane of childrenOf(context.reader, 'lane', exchange.id)) {
        const sides = sidesOf(context.reader, lane, exchange);
        const [a, b] = sides;
        if (places === 'same' && a && b && mirrorDifference(a, b)) {
          yield laneReport(
            context,
            { lane, exchange },
            {
              message: 'same',
              label: 'another place',
              sides: [a, b],
              cells: [claimCell(a, 'place'), claimCell(b, 'place')],
              params: { protocol: protocol.name },
            },
          );
        }
        for (const caller of sides.filter((side) => tellsPlace(exchange, lane, side))) {
          // The partner with which the verdict compares it.
          const reference = referenceOf(sides);
          const other = reference === caller ? sides.find((s) => s !== caller) : reference;
          if (other && namedTag(context.reader, exchange, lane, caller, other)) continue;
          const difference = other && toldDifference(context.reader, caller, other);
          if (!other || !difference || typeof difference === 'string') continue;
          const told = caller.claim.toldPlace!.trim();
          const factor = factorOf(context.reader, told, other);
          yield laneReport(
            context,
            { lane, exchange },
            {
              message: factor === null ? 'told' : 'factor',
              label: factor === null ? 'another place' : `place ×${factor}`,
              sides: [caller, other],
              cells: [claimCell(caller, 'toldPlace'), claimCell(other, 'place'), ...listed(context.reader, other)],
              params: { told, factor: String(factor ?? '') },
            },
          );
        }
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
