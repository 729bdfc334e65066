import { spanAddresses } from '../../../place/format-address.js';
import { formatBits } from '../../../place/length.js';
import { memoryOf } from '../../../place/memory.js';
import { set } from '../../../change/make.js';
import { copiesIn } from '../../../lane/claims-in.js';
import { usesOfCopy } from '../../../lane/uses.js';
import { entriesInOrder } from '../../../model/order.js';
import type { WordBits } from '../../../model/words.js';
import { permittedStart, type Starts } from '../../../place/permitted-start.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Report, Rule } from '../../rule.js';

export const reservedRange: Rule = {
  meta: {
    code: 'POS 3',
    title: 'No claim lies in a reserved range',
    source: 'common practice: a module’s own block is not free for data',
    messages: {
      used: {
        severity: 'blocker',
        headline: '{lane}: {aRange} of {a} runs into {from}–{to}, reserved for {owner}',
        says: ['{aName}: {aDoes} [[{aRange}]]; {from}–{to} is reserved for {owner}'],
        consequence: '{owner} and the exchange overwrite each other.',
        remedy: 'Move the block out of {from}–{to}.',
      },
      notAllowed: {
        severity: 'blocker',
        headline: '{area} of {a}: the range of {owner} may not start at {start}',
        says: ['{owner} starts at [[{start}]]; it may start {where}'],
        consequence: 'The module takes another range than the one that is kept free for it.',
        remedy: 'Let it start at {nearest}.',
      },
      copied: {
        severity: 'blocker',
        headline: '{a}: copy {copy} ends in {from}–{to}, reserved for {owner}',
        says: ['copy {copy} ends in [[{from}–{to}]], reserved for {owner}'],
        consequence: '{owner} and the copy overwrite each other.',
        remedy: 'Copy it to a place outside {from}–{to}.',
      },
      outside: {
        severity: 'blocker',
        headline: '{area} of {a}: the range reserved for {owner} does not lie in the area',
        says: ['{area} ends before the range reserved for {owner} does'],
        consequence: 'The reservation protects nothing.',
        remedy: 'Correct its start or length, or the size of the area.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      for (const side of comparison.sides) {
        const { block } = side;
        if (!block) continue;
        const { memory } = block;
        for (const [id, r] of entriesInOrder(memory.area.reservations)) {
          const end = r.start + r.length;
          if (r.puts && side.claim.direction === 'writes') continue;
          if (!block.spans.some((s) => s.start < end && r.start < s.end)) continue;
          const { first: from, last: to } = spanAddresses(memory, { start: r.start, end });
          yield laneReport(context, comparison, {
            message: 'used',
            label: 'reserved',
            sides: [side],
            cells: [claimCell(side, 'place')],
            params: { owner: r.owner, from, to },
            subjects: [side.claim.id, id],
          });
        }
      }
    },
    *area(area, { reader }): Generator<Report> {
      const station = reader.get('station', area.station);
      const memory = memoryOf(reader, area.id);
      for (const [id, r] of entriesInOrder(area.reservations)) {
        const nearest = permittedStart(r.start, r);
        if (!station || !memory || nearest === r.start) continue;
        const at = (start: number) => spanAddresses(memory, { start, end: start + area.wordBits }).first;
        yield {
          message: 'notAllowed',
          label: 'may not start there',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'area', id: area.id, path: ['reservations', id, 'start'] }],
          params: {
            area: area.name,
            a: station.name,
            owner: r.owner,
            start: at(r.start),
            nearest: at(nearest),
            where: whereWords(r, at, area.wordBits),
          },
          subjects: [area.id, id],
        };
      }
      for (const copy of memory ? copiesIn(reader, area.id) : []) {
        const target = usesOfCopy(reader, copy).find((use) => use.puts && use.area === area.id);
        for (const [id, r] of entriesInOrder(area.reservations)) {
          const end = r.start + r.length;
          if (!station || !memory || !target?.spans.some((s) => s.start < end && r.start < s.end)) continue;
          const { first: from, last: to } = spanAddresses(memory, { start: r.start, end });
          yield {
            message: 'copied',
            label: 'reserved',
            about: { kind: 'station', id: station.id, name: station.name },
            parties: [{ station: station.id }],
            cells: [{ kind: 'copy', id: copy.id, path: ['to'] }],
            params: { a: station.name, copy: copy.name, owner: r.owner, from, to },
            subjects: [copy.id, id],
          };
        }
      }
      for (const [id, r] of entriesInOrder(area.reservations)) {
        if (!station || r.start + r.length <= area.words * area.wordBits) continue;
        yield {
          message: 'outside',
          label: 'outside the area',
          about: { kind: 'station', id: station.id, name: station.name },
          parties: [{ station: station.id }],
          cells: [{ kind: 'area', id: area.id, path: ['reservations', id, 'start'] }],
          params: { area: area.name, a: station.name, owner: r.owner },
          subjects: [area.id, id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const [cell] = finding.cells;
    const area = finding.message === 'notAllowed' && cell ? reader.get('area', cell.id) : undefined;
    const id = cell?.path[1] ?? '';
    const reservation = area?.reservations[id];
    if (!area || !reservation) return [];
    const nearest = permittedStart(reservation.start, reservation);
    const label = `${finding.params.owner}: start at ${finding.params.nearest}`;
    return [{ label, changes: [set('area', area, ['reservations', id, 'start'], nearest)] }];
  },
};

/** `from w1200 to w1680, every 16 words` */
function whereWords({ firstStart, lastStart, startStep }: Starts, at: (bit: number) => string, word: WordBits): string {
  const first = at(firstStart ?? 0);
  const range = typeof lastStart === 'number' ? `from ${first} to ${at(lastStart)}` : `from ${first} on`;
  return startStep && startStep > word ? `${range}, every ${formatBits(startStep, word)}` : range;
}
