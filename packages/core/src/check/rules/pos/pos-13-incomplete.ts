import { readPlace } from '../../../place/read-place.js';
import { formatAddress } from '../../../place/format-address.js';
import { parseLength } from '../../../place/length.js';
import { parseType } from '../../../data/types.js';

import { set } from '../../../change/make.js';
import { isTyped, readable } from '../../../model/as-typed.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { sideOf, type ClaimField, type Side } from '../../../lane/side.js';
import { laneName } from '../../../lane/compare.js';
import { placesOf } from '../../../lane/places-of.js';
import { fewOf } from '../../few-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Finding } from '../../../finding/finding.js';
import { addressesMakeAreas, readingsOf, takeReading } from '../../../sheet/first-areas.js';
import type { Fix, Rule } from '../../rule.js';

const FIELD_WORDS: Record<ClaimField, string> = {
  direction: 'whether it writes or reads',
  place: 'its address',
  length: 'its length',
  type: 'its type',
};

export const incomplete: Rule = {
  meta: {
    code: 'POS 13',
    title: 'Every end says where, how long and of which type',
    yieldsAtCell: ['POS 11'],
    source: 'common practice: what is not stated cannot be compared',
    messages: {
      copyMissing: {
        severity: 'blocker',
        headline: '{copy} of {a}: {what} is missing',
        says: ['copy {copy}: {what} [[not set]]'],
        consequence: 'What it moves, and where to, is not known.',
        remedy: 'Fill in {what}.',
      },
      copyUnread: {
        severity: 'blocker',
        headline: '{copy} of {a}: {what} cannot be read',
        says: ['copy {copy}: [[{typed}]]'],
        consequence: 'What it moves, and where to, is not known.',
        remedy: 'Write {what} in a notation of {a}.',
      },
      missing: {
        severity: 'blocker',
        headline: '{lane}: {a} does not say {fields}',
        says: ['{aName}: [[not filled in]]: {fields}'],
        consequence: 'The two ends cannot be compared.',
        remedy: 'Fill in {fields}.',
      },
      unread: {
        severity: 'blocker',
        headline: '{lane}: “{typed}” of {a} cannot be read as {fields}',
        says: ['{aName}: [[{typed}]], kept as typed, cannot be read as {fields}'],
        consequence: 'The two ends cannot be compared.',
        remedy: 'Type {fields} again: {expected}.',
      },
      notTold: {
        severity: 'blocker',
        headline: '{lane}: {a} does not say which place of {b} it asks for',
        says: ['{aName}: place of {b} [[not set]]', '{bName}: {bRange}'],
        consequence: 'The request cannot be set up.',
        remedy: 'Type the other end’s place under the address of {a}.',
      },
      silent: {
        severity: 'doubt',
        headline: '{lane}: {b} {say} nothing of it',
        says: ['{aName}: {aDoes} {aLength}, {aRange}', '[[not filled in]]'],
        consequence: 'Nobody can say yet whether the two ends fit.',
        remedy: 'Ask {whose}.',
      },
    },
  },
  on: {
    *station(station, { reader }) {
      for (const copy of childrenOf(reader, 'copy', station.id)) {
        if (copy.station !== station.id) continue;
        for (const field of ['from', 'to', 'length'] as const) {
          const value = copy[field];
          if (value !== null && !isTyped(value)) continue;
          yield {
            message: value === null ? 'copyMissing' : 'copyUnread',
            label: value === null ? 'missing' : 'unread',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'copy', id: copy.id, path: [field] }],
            params: {
              a: station.name,
              copy: copy.name || 'A copy',
              typed: value?.typed ?? '',
              what: { from: 'where it takes from', to: 'where it puts to', length: 'how much it moves' }[field],
            },
            subjects: [copy.id, field],
          };
        }
      }
    },
    *lane(comparison, context) {
      const { exchange, lane } = comparison;
      for (const side of comparison.sides) {
        if (side.missing.length > 0) {
          yield laneReport(context, comparison, {
            message: 'missing',
            label: 'not filled in',
            sides: [side],
            cells: side.missing.map((field) => claimCell(side, field)),
            params: { fields: side.missing.map((f) => FIELD_WORDS[f]).join(', ') },
            subjects: [side.claim.id],
          });
        }
        for (const field of side.unread) {
          const value = side.claim[field];
          yield laneReport(context, comparison, {
            message: 'unread',
            label: 'cannot be read',
            sides: [side],
            cells: [claimCell(side, field)],
            params: {
              typed: isTyped(value) ? value.typed : 'its view is gone',
              fields: FIELD_WORDS[field],
              expected: expectedOf(context.reader, side, field),
            },
            subjects: [side.claim.id, field],
          });
        }
      }
      if (placesOf(exchange, comparison.lane) === 'named') {
        for (const side of comparison.sides) {
          const other = comparison.sides.find((s) => s !== side);
          // Where both call, DIR 6 asks who is to.
          if (!other?.block || other.end.calling === 'calls' || !untold(side)) continue;
          yield laneReport(context, comparison, {
            message: 'notTold',
            label: 'place not set',
            sides: [side, other],
            cells: [claimCell(side, 'toldPlace')],
            subjects: [side.claim.id],
          });
        }
      }
      const silent = comparison.silent.flatMap((end) => {
        const station = context.reader.get('station', end.station);
        return station ? [{ end, station }] : [];
      });
      const [speaking] = comparison.sides;
      // Of several that say nothing one at least is meant; which, nobody can know.
      if (speaking && silent.length > 0) {
        const report = laneReport(context, comparison, {
          message: 'silent',
          label: 'one-sided',
          sides: [speaking],
          cells: silent.map(({ end }) => ({ kind: 'lane', id: lane.id, path: ['claims', end.id] })),
          params: {
            b: fewOf(silent.map(({ station }) => station.name)),
            lane: laneName(context.reader, lane),
            say: silent.length > 1 ? 'say' : 'says',
            whose:
              silent.length > 1
                ? 'their engineers, and fill in the end that is meant'
                : `${silent[0]!.station.name}’s engineer, and fill in that end`,
          },
          subjects: silent.map(({ end }) => end.id),
        });
        yield {
          ...report,
          parties: [
            ...report.parties,
            ...silent.slice(0, 1).map(({ end, station }) => ({ station: station.id, end: end.id })),
          ],
        };
      }
    },
  },
  fixes: fixesOf,
};

/** What would have been right in a field whose text could not be read. */
function expectedOf(reader: Reader, side: Side, field: ClaimField): string {
  const value = side.claim[field];
  const text = isTyped(value) ? value.typed : '';
  const read =
    field === 'place'
      ? readPlace(reader, side.station.id, text)
      : field === 'type'
        ? parseType(text)
        : parseLength(text, 16);
  if (field === 'direction') return 'writes, reads or both';
  const ways = field === 'place' && addressesMakeAreas(reader, side.station) ? readingsOf(text) : [];
  if (ways.length > 1) return `it can be read as ${ways.map(({ words }) => words).join(', or ')}; say which`;
  return read.ok ? 'choose a view that is there' : read.expected;
}

/** The opposite direction where the other end has one; the length that the items take; the place that the other end states. */
function fixesOf(finding: Finding, reader: Reader): Fix[] {
  const [cell] = finding.cells;
  const claim = cell && reader.get('claim', cell.id);
  const lane = claim && reader.get('lane', claim.lane);
  const exchange = lane && reader.get('exchange', lane.exchange);
  if (!claim || !lane || !exchange) return [];
  const other = childrenOf(reader, 'claim', lane.id).find((c) => c.id !== claim.id);
  const side = sideOf(reader, claim, exchange);
  const otherSide = other && sideOf(reader, other, exchange);
  if (!side) return [];
  const station = side.station.name;
  if (finding.message === 'notTold') {
    const { block } = otherSide ?? {};
    if (!block) return [];
    const text = formatAddress(block.memory, block.place);
    return [{ label: `${station} asks for ${text}`, changes: [set('claim', claim, ['toldPlace'], text)] }];
  }
  // An address that several types write, at a station of none: which of them is meant.
  if (finding.message === 'unread' && isTyped(claim.place) && addressesMakeAreas(reader, side.station)) {
    let n = 0;
    return readingsOf(claim.place.typed).map((reading, i) => ({
      label: `${station}: ${reading.words}`,
      choice: true as const,
      changes: takeReading(reader, side.station, reading, () => `${side.station.id}-area-${i}-${++n}`),
    }));
  }
  const direction = readable(other?.direction);
  if (finding.message !== 'missing' || claim.direction !== null || !direction) return [];
  const opposite = direction === 'writes' ? 'reads' : direction === 'reads' ? 'writes' : 'both';
  return [{ label: `${station} ${opposite}`, changes: [set('claim', claim, ['direction'], opposite)] }];
}

const untold = (side: Side) => side.end.calling === 'calls' && (side.claim.toldPlace?.trim() ?? '') === '';
