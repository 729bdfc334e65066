import { set } from '../../../change/make.js';
import type { Side } from '../../../lane/side.js';
import { TOLD_WORDS } from '../../../told/told.js';
import { lanesMade } from '../../../exchange/made-lanes.js';
import { childrenOf } from '../../../model/order.js';
import type { ReferenceField } from '../../../model/words.js';
import { protocolOf } from '../../../protocol/catalogue.js';
import { stationName } from '../../port-words.js';
import { notFollowed } from './not-followed.js';
import { claimCell, inPageOrder, laneReport } from '../../lane-report.js';
import type { Report, Rule } from '../../rule.js';

/** What one end calls input is the other’s output. */
const MIRRORED: Record<ReferenceField, ReferenceField> = {
  connection: 'connection',
  input: 'output',
  output: 'input',
  configuration: 'configuration',
};

export const notPaired: Rule = {
  meta: {
    code: 'DIR 7',
    title: 'Slots, references and element widths of the two ends pair',
    source:
      'common practice: a coupler hands the data of a slot to the slot of the same number on its other side; a connection is known by the same references at both ends',
    yieldsAtCell: [
      'SIZ 1',
      'SIZ 2',
      'SIZ 4',
      'TYP 1',
      'TYP 2',
      'POS 13',
      'POS 12',
      'POS 1',
      'POS 9',
      'DIR 1',
      'HWS 2',
      'HWS 9',
      'ADR 8',
    ],
    messages: {
      references: {
        severity: 'blocker',
        headline: '{exchange}: {field} {aValue} at {a}, {bValue} at {b}',
        says: ['{field} [[{aValue}]]', '{field} [[{bValue}]]'],
        consequence: 'The connection is refused, or set up with another one.',
        remedy: 'Settle it, and enter the same at both ends.',
      },
      notFollowed: {
        severity: 'doubt',
        headline: '{exchange}: its lanes no longer follow the {from}',
        says: ['[[{count}]] of its lanes, or of their places and lengths, are not as the {from} say'],
        consequence: 'The sheet says something else than what the modules exchange.',
        remedy: 'Press “Lanes from the {from}” on its sheet.',
      },
      elements: {
        severity: 'blocker',
        headline: '{exchange}: {a} counts in elements of {aValue} bits, {b} in elements of {bValue}',
        says: ['elements of [[{aValue} bits]]', 'elements of [[{bValue} bits]]'],
        consequence: 'The same number of elements is another number of bytes; the connection is refused.',
        remedy: 'Take the width that the manual of the device states, at both ends.',
      },
      slots: {
        severity: 'blocker',
        headline: '{lane}: slot {aSlot} at {a}, slot {bSlot} at {b}',
        says: ['{aName}: slot [[{aSlot}]]', '{bName}: slot [[{bSlot}]]'],
        consequence: 'Each end exchanges with another slot than the one that is meant.',
        remedy: 'Settle the slot, and enter the same at both ends.',
      },
    },
  },
  on: {
    *exchange(exchange, { reader }): Generator<Report> {
      const unlike = notFollowed(reader, exchange);
      if (unlike) {
        yield {
          message: 'notFollowed',
          label: 'not followed',
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: childrenOf(reader, 'end', exchange.id).map((end) => ({ station: end.station, end: end.id })),
          cells: [{ kind: 'exchange', id: exchange.id, path: ['name'] }, ...unlike.cells],
          params: { exchange: exchange.name, from: unlike.from, count: String(unlike.count) },
          subjects: [exchange.id],
        };
      }
      const [a, ...others] = childrenOf(reader, 'end', exchange.id);
      for (const b of a ? others : []) {
        const report = (message: string, label: string, path: string[], field: string, x: string, y: string) => ({
          message,
          label,
          about: { kind: 'exchange', id: exchange.id, name: exchange.name } as const,
          parties: [a!, b].map((end) => ({ station: end.station, end: end.id })),
          cells: [b, a!].map((end) => ({ kind: 'end', id: end.id, path }) as const),
          params: {
            exchange: exchange.name,
            field,
            aValue: x,
            bValue: y,
            a: stationName(reader, a!.station),
            b: stationName(reader, b.station),
          },
          subjects: [exchange.id, a!.id, b.id, field],
        });
        const [x, y] = [a!.elementBits, b.elementBits];
        if (x && y && x !== y) yield report('elements', 'elements', ['elementBits'], 'elements', String(x), String(y));
        const { references } = protocolOf(exchange);
        if (!references || references.pairing === 'crossed') continue;
        for (const field of references.fields) {
          const facing = references.pairing === 'mirrored' ? MIRRORED[field] : field;
          const [p, q] = [a!.references?.[field]?.trim(), b.references?.[facing]?.trim()];
          if (p && q && p !== q) yield report('references', field, ['references', field], TOLD_WORDS[field], p, q);
        }
      }
    },
    *lane(comparison, context) {
      for (const d of comparison.differences) {
        if (d.code !== 'DIR 7') continue;
        const [a, b] = inPageOrder(comparison, d.left, d.right) as [Side, Side];
        const [x, y] = [String(a.claim.slot), String(b.claim.slot)];
        yield laneReport(context, comparison, {
          message: 'slots',
          label: `slot ${x} ≠ ${y}`,
          sides: [a, b],
          cells: [claimCell(b, 'slot'), claimCell(a, 'slot')],
          params: { aSlot: x, bSlot: y },
        });
      }
    },
  },
  fixes(finding, reader) {
    if (finding.message === 'notFollowed') {
      const exchange = reader.get('exchange', finding.about.id);
      let n = 0;
      const made = exchange && lanesMade(reader, exchange, () => `${exchange.id}-made-${++n}`);
      // An id that is taken already was made by this fix before, and what it made was changed since.
      const taken = made?.changes.some(
        ({ kind, id, path, before }) => path.length === 0 && before === undefined && reader.get(kind, id),
      );
      return made && !taken ? [{ label: `lanes as the ${made.from} say`, changes: made.changes }] : [];
    }
    if (finding.message !== 'slots') {
      const { a, b, aValue, bValue, field } = finding.params;
      return finding.cells.flatMap((cell, i) => {
        const end = reader.get('end', cell.id);
        const [at, value] = i === 0 ? [b, aValue] : [a, bValue];
        const next = finding.message === 'elements' ? Number(value) : value;
        return end ? [{ label: `${at}: ${field} ${value}`, changes: [set('end', end, cell.path, next)] }] : [];
      });
    }
    const { a, b, aSlot, bSlot } = finding.params;
    return finding.cells.flatMap((cell, i) => {
      const claim = reader.get('claim', cell.id);
      const [at, slot] = i === 0 ? [b, aSlot] : [a, bSlot];
      if (!claim) return [];
      return [{ label: `${at}: slot ${slot}`, changes: [set('claim', claim, ['slot'], Number(slot))] }];
    });
  },
};
