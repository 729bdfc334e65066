import { memoriesOf } from '../../../place/memory.js';
import { formatAddress, placeAlong } from '../../../place/format-address.js';
import { bitsOfElement } from '../../../place/notations/bit-part.js';
import { parseAddress } from '../../../place/parse-address.js';
import { readToldPlace } from '../../../lane/told-place.js';
import { itemFacts } from '../../../lane/item-facts.js';
import type { Comparison } from '../../../lane/compare.js';
import type { Block, Side } from '../../../lane/side.js';
import { isTyped } from '../../../model/as-typed.js';
import type { Reader } from '../../../model/project.js';
import type { View } from '../../../model/view.js';
import type { NotationId } from '../../../model/words.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Cell } from '../../../finding/finding.js';
import type { Rule } from '../../rule.js';

/** The last number of a notation's tables. [published: MODBUS Application Protocol V1.1b3, 4.4] [from memory] */
const LAST: Partial<Record<NotationId, number>> = {
  'reference 5': 65_536,
  'reference 6': 65_536,
  'table and number': 65_536,
  'protocol address': 65_535,
};
/** The last that five digits can express: a table's digit and four more. */
const LAST_OF_FIVE = 9999;

export const outsideTable: Rule = {
  meta: {
    code: 'POS 11',
    title: 'A reference number is inside its table, a bit number inside its word',
    source: 'MODBUS Application Protocol Specification V1.1b3, 4.4: 65536 items a table; IEC 61131-3, direct variables',
    messages: {
      typed: {
        severity: 'blocker',
        headline: '{lane}: {typed} at {a} does not exist: {why}',
        says: ['{aName}: [[{typed}]], kept as typed; {why}'],
        consequence: 'No register or bit has this address.',
        remedy: 'Type it again.',
      },
      beyond: {
        severity: 'blocker',
        headline: '{lane}: {aRange} of {a} ends beyond its table, at number {last} of {most}',
        says: ['{aName}: [[{aRange}]]; a table ends at {most}'],
        consequence: 'A request for the end of the block is refused.',
        remedy: 'Move the block so that it ends inside its table.',
      },
      fiveDigits: {
        severity: 'hint',
        headline: '{lane}: {aRange} of {a} ends at number {last}, which five digits cannot express',
        says: ['{aName}: ends at number [[{last}]]; five digits reach 9999'],
        consequence: 'It can be read as another register, or not be typed at all.',
        remedy: 'Write this area in six digits.',
      },
      bit: {
        severity: 'blocker',
        headline: '{lane}: bit {bit} of {a} does not exist; bits are 0 to {most}',
        says: ['{aName}: begins at bit [[{bit}]]'],
        consequence: 'No bit has this number.',
        remedy: 'Type the address again.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        for (const { cell, typed, why } of typedOutside(context.reader, side, comparison)) {
          const params = { typed, why };
          const subjects = [side.claim.id, ...cell.path];
          yield laneReport(context, comparison, {
            message: 'typed',
            label: 'no such place',
            sides: [side],
            cells: [cell],
            params,
            subjects,
          });
        }
        const fault = side.block && faultOf(side.block);
        if (!fault) continue;
        yield laneReport(context, comparison, {
          message: fault.message,
          label: 'outside its table',
          sides: [side],
          cells: [claimCell(side, 'place')],
          params: fault.params,
          subjects: [side.claim.id],
        });
      }
    },
  },
};

/** Places of this claim that were kept as typed because there is no such number or bit. */
function* typedOutside(
  reader: Reader,
  side: Side,
  { sides, verdict }: Comparison,
): Generator<{ cell: Cell; typed: string; why: string }> {
  const { place, items, toldPlace } = side.claim;
  if (isTyped(place)) {
    const read = parseAddress(place.typed, memoriesOf(reader, side.station.id));
    if (!read.ok && read.outside) yield { cell: claimCell(side, 'place'), typed: place.typed, why: read.expected };
  }
  for (const [key, { offset }] of itemFacts(side.claim).typed ? Object.entries(items) : []) {
    if (!isTyped(offset)) continue;
    const read = parseAddress(offset.typed, memoriesOf(reader, side.station.id));
    const cell = claimCell(side, 'items', key, 'offset');
    if (!read.ok && read.outside) yield { cell, typed: offset.typed, why: read.expected };
  }
  // A lane that agrees was compared at the place that was told, so there is such a place.
  if (verdict === 'agreed') return;
  const other = sides.find((s) => s !== side);
  const told = toldPlace?.trim() ?? '';
  if (told === '' || !other || side.end.calling !== 'calls') return;
  const read = readToldPlace(reader, told, other.station.id, other.claim);
  if (!read.ok && read.outside) yield { cell: claimCell(side, 'toldPlace'), typed: told, why: read.expected };
}

function faultOf(block: Block) {
  const { located, place, memory } = block;
  const { view } = located;
  const bits = elementBits(view, place.width);
  if (place.bit !== undefined && place.bit >= bits) {
    return { message: 'bit', params: { bit: String(place.bit), most: String(bits - 1) } };
  }
  const most = LAST[view.notation];
  const beyondArea = block.spans.some((s) => s.end > memory.bits);
  if (most === undefined || beyondArea) return null;
  const lastUnit = Math.ceil(block.lengthBits / view.unit) - 1;
  const last = placeAlong(located, place, lastUnit * view.unit, view.unit);
  const params = { last: String(last.number), most: String(most), address: formatAddress(memory, last) };
  if (last.number > most) return { message: 'beyond', params };
  return view.notation === 'reference 5' && last.number > LAST_OF_FIVE ? { message: 'fiveDigits', params } : null;
}

const elementBits = (view: View, width: number | undefined): number =>
  view.notation === 'iec bytes' ? 8 : Math.max(width ?? bitsOfElement(view), 8);
