import { readToldPlace } from '../../../lane/told-place.js';
import { isTyped } from '../../../model/as-typed.js';
import { itemFacts } from '../../../lane/item-facts.js';
import { childrenOf } from '../../../model/order.js';
import { placesOf } from '../../../lane/places-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';

export const keptAsTyped: Rule = {
  meta: {
    code: 'POS 12',
    title: 'What is typed can be read',
    source: 'common practice: text that cannot be read is not compared',
    yieldsTo: ['POS 13'],
    yieldsAtCell: ['POS 11', 'DIR 2 table'],
    messages: {
      tag: {
        severity: 'doubt',
        headline: '{a}: the {what} “{typed}” of {tag} cannot be read',
        says: ['{tag}: [[{typed}]], kept as typed'],
        consequence: 'It counts as missing; what is bound to the tag is not compared.',
        remedy: 'Correct the {what} of {tag}.',
      },
      item: {
        severity: 'doubt',
        headline: '{lane}: “{typed}” of {value} at {a} cannot be read',
        says: ['{value}: [[{typed}]], kept as typed'],
        consequence: 'The lane is not checked until it can be read.',
        remedy: 'Type it again: an address of this station, or a type such as REAL ×3.',
      },
      told: {
        severity: 'doubt',
        headline: '{lane}: {a} asks for “{typed}”, which is no address of {b}',
        says: ['{aName}: asks for [[{typed}]], kept as typed', '{expected}'],
        consequence: 'Whether the right place is asked for is not known.',
        remedy: 'Type it as {b} writes it: {expected}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const tag of childrenOf(reader, 'tag', station.id)) {
        for (const field of ['type', 'place', 'scaling'] as const) {
          const value = tag[field];
          if (!value || !isTyped(value)) continue;
          yield {
            message: 'tag',
            label: 'cannot be read',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'tag', id: tag.id, path: [field] }],
            params: { a: station.name, tag: tag.name, typed: value.typed, what: TAG_FIELD_WORDS[field] },
            subjects: [tag.id, field],
          };
        }
      }
    },
    *lane(comparison, context) {
      const { exchange } = comparison;
      const named = placesOf(exchange, comparison.lane) === 'named';
      for (const side of comparison.sides) {
        const items = itemFacts(side.claim).typed ? Object.entries(side.claim.items) : [];
        for (const [key, item] of items) {
          for (const field of ['type', 'offset'] as const) {
            const value = item[field];
            if (!isTyped(value)) continue;
            yield laneReport(context, comparison, {
              message: 'item',
              label: 'cannot be read',
              sides: [side],
              item: key,
              cells: [claimCell(side, 'items', key, field)],
              params: { typed: value.typed, value: item.name || 'a value without a name' },
              subjects: [side.claim.id, key, field],
            });
          }
        }
        // A lane that agrees was compared at the place that was told, so it can be read.
        if (comparison.verdict === 'agreed') continue;
        const told = side.claim.toldPlace?.trim() ?? '';
        const other = comparison.sides.find((s) => s !== side);
        if (!named || side.end.calling !== 'calls' || told === '' || !other) continue;
        const read = readToldPlace(context.reader, told, other.station.id, other.claim);
        if (read.ok) continue;
        yield laneReport(context, comparison, {
          message: 'told',
          label: 'cannot be read',
          sides: [side, other],
          cells: [claimCell(side, 'toldPlace')],
          params: { typed: told, expected: read.expected },
          subjects: [side.claim.id, 'told'],
        });
      }
    },
  },
};

const TAG_FIELD_WORDS = { type: 'type', place: 'address', scaling: 'scaling' } as const;
