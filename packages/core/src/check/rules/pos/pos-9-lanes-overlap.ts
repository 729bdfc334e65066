import { formatSpan } from '../../../place/format-address.js';
import { formatType } from '../../../data/types.js';
import type { DifferenceOf } from '../../../lane/difference.js';
import { itemAddress } from '../../../sheet/sheet.js';
import { laneReport, valueCell } from '../../lane-report.js';
import { overlappingUsers } from '../../overlapping-users.js';
import type { Rule } from '../../rule.js';

export const lanesOverlap: Rule = {
  meta: {
    code: 'POS 9',
    title: 'Lanes of one exchange, and values of one lane, have each a place of their own',
    source: 'common practice: each block of a connection, and each value of a block, has a place of its own',
    yieldsAtCell: ['SIZ 2', 'TYP 1', 'TYP 10 oneRegister'],
    messages: {
      overlap: {
        severity: 'blocker',
        yieldsTo: ['SIZ 1', 'SIZ 4', 'DIR 1', 'POS 1'],
        headline: '{exchange}: {aLane} and {bLane} both arrive in {shared} of {a}',
        says: ['{aLane} arrives in [[{aRange}]]', '{bLane} arrives in [[{bRange}]]'],
        consequence: 'Each transfer overwrites what the other brought.',
        remedy: 'Move one of the two to a free place.',
      },
      values: {
        severity: 'blocker',
        headline: '{lane}: {value} and {neighbour} of {a} lie on one place',
        says: ['{value}, [[{type}]], at [[{address}]]; {neighbour}, {otherType}, at {otherAddress}'],
        consequence: 'The bits that they share are taken for both, and mean one of them at most.',
        remedy: 'Correct the address or the type of one of the two.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const own = comparison.differences.filter(
          (d): d is DifferenceOf<'POS 9'> => d.code === 'POS 9' && d.left === side,
        );
        // Of several partners each comparison finds it again.
        const pairs = new Map(own.map((d) => [`${d.value.key} ${d.neighbour.key}`, d]));
        for (const { value, neighbour } of pairs.values()) {
          const address = (key: string) => {
            const item = side.claim.items[key];
            return item ? itemAddress(context.reader, side.claim, item) : '';
          };
          yield laneReport(context, comparison, {
            message: 'values',
            label: 'values overlap',
            sides: [side],
            item: neighbour.key,
            cells: [
              ...[neighbour, value].map(({ key }) => valueCell(side, key, 'offset')),
              ...[neighbour, value].map(({ key }) => valueCell(side, key, 'type')),
            ],
            params: {
              value: value.name || 'a value',
              neighbour: neighbour.name || 'the next value',
              type: formatType(value.type),
              otherType: formatType(neighbour.type),
              address: address(value.key),
              otherAddress: address(neighbour.key),
            },
            subjects: [side.claim.id, value.key, neighbour.key],
          });
        }
      }
    },
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
        lanes: [first.lane!.id, second.lane!.id],
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
