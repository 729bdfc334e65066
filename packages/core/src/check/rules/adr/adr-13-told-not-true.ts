import { parseIpv4 } from '../../../wiring/ipv4.js';
import { toldFields, type ToldValue } from '../../../told/told.js';
import type { End } from '../../../model/end.js';
import type { Exchange } from '../../../model/exchange.js';
import { childrenOf } from '../../../model/order.js';
import type { Reader } from '../../../model/project.js';
import { onOneComputer } from '../../../wiring/host-of.js';
import { judgeStationText } from '../../../told/station-text-of.js';
import { fewOf } from '../../few-of.js';
import { claimCell, laneReport } from '../../lane-report.js';
import type { Rule } from '../../rule.js';
import { toldFix } from './told-fix.js';

export const toldNotTrue: Rule = {
  meta: {
    code: 'ADR 13',
    title: 'What is entered at an end about the other is so',
    source: 'common practice: an address typed in two places changes in one of them',
    yieldsAtCell: [
      'ADR 12',
      'ADR 1',
      'ADR 2',
      'ADR 3',
      'ADR 8',
      'ADR 9',
      'ADR 10',
      'ADR 11',
      'ADR 16',
      'DIR 7',
      'HWS 1',
      'HWS 2 outside',
      'LIN 7',
    ],
    yieldsTo: ['DIR 6', 'DIR 13 noCoupler', 'LIN 9 network'],
    messages: {
      former: {
        severity: 'blocker',
        headline: '{a} {has} {told} entered for {b}, its former address; it is at {true}',
        says: ['entered for {b}: [[{told}]], its former address', 'is at [[{true}]]'],
        consequence: 'Nothing answers at {told}; no request succeeds.',
        remedy: 'Type {true} at {a}.',
      },
      another: {
        severity: 'blocker',
        headline: '{a} {has} {told} entered for {b}, which is {other}; {b} is at {true}',
        says: ['entered for {b}: [[{told}]], which is {other}', 'is at [[{true}]]'],
        consequence: '{other} answers in place of {b}, or refuses.',
        remedy: 'Type {true} at {a}.',
      },
      otherComputer: {
        severity: 'blocker',
        headline: '{a} {has} {told} entered for {b}: that is the other computer, {other}; both run on one, at {true}',
        says: [
          'entered for {b}: [[{told}]], which is {other}',
          'runs on the same computer, at [[{true}]] and at 127.0.0.1',
        ],
        consequence: '{other} answers in place of {b}, or refuses; {b} beside it is never asked.',
        remedy: 'Type {true} at {a}, or 127.0.0.1.',
      },
      differs: {
        severity: 'blocker',
        headline: '{a} {has} {field} {told} entered for {b}; it is {true}',
        says: ['{field} entered: [[{told}]]', '{field} is [[{true}]]'],
        consequence: 'No request reaches {b}.',
        remedy: 'Type {true} at {a}.',
      },
      row: {
        severity: 'blocker',
        headline: '{lane}: this row of {a} asks {told}; {b} is {true}',
        says: ['this row: [[{told}]]', '{differs}'],
        consequence: 'This one point gets nothing, or the value of another station.',
        remedy: 'Type {true} in this row, as in the others.',
      },
      rowUnread: {
        severity: 'blocker',
        headline: '{lane}: this row of {a} asks “{told}”, which names no station',
        says: ['this row: [[{told}]]', '{differs}'],
        consequence: 'This one point gets nothing.',
        remedy: 'Type {true} in this row, as in the others.',
      },
      notTold: {
        severity: 'blocker',
        headline: '{a} {has} no {field} entered for {b}, and the protocol has no default',
        says: ['{field} of {b}: [[not set]]', '{field} is {true}'],
        consequence: 'The connection cannot be set up.',
        remedy: 'Type {true} at {a}.',
      },
      otherType: {
        severity: 'blocker',
        headline: '{a} has {b} entered as “{told}”; it is “{true}”',
        says: ['entered as [[{told}]]', 'is [[{true}]]'],
        consequence: '{a} builds the connection for another type; it is refused, or data lies elsewhere.',
        remedy: 'Enter {true} at {a}; if {b} is meant to act as “{told}”, say so at {b}.',
      },
      automatic: {
        severity: 'doubt',
        headline: '{a} {has} {told} entered for {b}, which {b} is given anew each time',
        says: ['entered for {b}: [[{told}]]', 'address [[automatic]], {true} for now'],
        consequence: 'When it gets another address, nothing answers at {told}.',
        remedy: 'Give {b} a fixed address, or have the one that gives addresses keep {told} for it.',
      },
      unknown: {
        severity: 'doubt',
        headline: '{exchange}: the {field} of {b} is not known yet, so what {a} {has} entered cannot be checked',
        says: ['{field} entered: {told}', '{field}: [[not known yet]]'],
        consequence: 'Whether {a} reaches {b} is not known.',
        remedy: 'Choose the port of {b} in this exchange, and give it its {field}.',
      },
      neither: {
        severity: 'doubt',
        headline: '{exchange}: the {field} of {b} is not known yet at either end',
        says: ['{field} of {b}: still to be entered', '{field}: [[not known yet]]'],
        consequence: '{a} cannot call {b} yet.',
        remedy: 'Choose the port of {b} in this exchange, give it its {field}, and type the same at {a}.',
      },
    },
  },
  on: {
    *lane(comparison, context) {
      const { exchange, sides } = comparison;
      for (const caller of sides) {
        const other = caller.claim.toldStation ? sides.find((side) => side !== caller) : undefined;
        const judged = other && judgeStationText(context.reader, exchange, caller, other);
        if (!other || !judged || (judged.unread === null && judged.differs.length === 0)) continue;
        yield laneReport(context, comparison, {
          message: judged.unread === null ? 'row' : 'rowUnread',
          label: 'station asked',
          sides: [caller, other],
          cells: [claimCell(caller, 'toldStation')],
          params: {
            told: judged.text,
            true: judged.right ?? 'as the others are written',
            differs: judged.unread ?? judged.differs.join(', '),
          },
          subjects: [caller.claim.id, 'row'],
        });
      }
    },
    *exchange(exchange, { reader }) {
      const name = (id: string) => reader.get('station', id)?.name ?? '';
      for (const [first, ...more] of untrueOf(reader, exchange)) {
        const { message, end, value } = first;
        const told = [first, ...more];
        yield {
          message,
          label: `${value.word} entered`,
          about: { kind: 'exchange', id: exchange.id, name: exchange.name },
          parties: [
            { station: end.station, end: end.id },
            { station: value.station, end: value.other.id },
          ],
          cells: [
            ...told.map((one) => {
              const path = ['told', value.other.id, value.field];
              return { kind: 'end' as const, id: one.end.id, path };
            }),
            value.set,
          ],
          params: {
            exchange: exchange.name,
            a: fewOf(told.map((one) => name(one.end.station))),
            has: more.length > 0 ? 'have' : 'has',
            b: name(value.station),
            field: value.word,
            told: value.told || 'not set',
            true: value.truth ?? 'not known yet',
            other: value.belongsTo ?? '',
          },
          subjects: [...told.map((one) => one.end.id), value.other.id, value.field],
        };
      }
    },
  },
  fixes: (finding, reader) =>
    ['unknown', 'neither', 'automatic'].includes(finding.message) ? [] : toldFix(finding, reader),
};

interface Untrue {
  message: string;
  end: End;
  value: ToldValue;
}

/** What is not so, each cause once: several ends that were told the same of one partner are one. */
function untrueOf(reader: Reader, exchange: Exchange): [Untrue, ...Untrue[]][] {
  const causes = new Map<string, [Untrue, ...Untrue[]]>();
  for (const end of childrenOf(reader, 'end', exchange.id)) {
    for (const value of toldFields(reader, exchange, end)) {
      const message = messageFor(value, onOneComputer(reader, end.station, value.station));
      // A unit that stands twice on its line is to be settled there first: ADR 8 says so.
      if (!message || (value.field === 'unit' && standsTwice(reader, value.other))) continue;
      const cause = [message, value.other.id, value.field, value.told, value.truth].join(' ');
      const known = causes.get(cause);
      if (known) known.push({ message, end, value });
      else causes.set(cause, [{ message, end, value }]);
    }
  }
  return [...causes.values()];
}

function messageFor(value: ToldValue, together: boolean): string | null {
  if (value.optional && value.told === '') return null;
  if (value.truth === null) {
    if (value.optional || (value.field === 'unit' && value.told !== '')) return null;
    return value.told === '' ? 'neither' : 'unknown';
  }
  if (value.told === '') return 'notTold';
  if (value.same) return value.automatic ? 'automatic' : null;
  if (value.field === 'type') return 'otherType';
  if (value.field !== 'address' || !parseIpv4(value.told).ok) return 'differs';
  if (value.former) return 'former';
  return value.belongsTo ? (together ? 'otherComputer' : 'another') : 'differs';
}

function standsTwice(reader: Reader, { port: id }: End): boolean {
  const port = id ? reader.get('port', id) : undefined;
  if (!port?.network || port.unit === null) return false;
  return childrenOf(reader, 'port', port.network).some((p) => p.id !== port.id && p.unit === port.unit);
}
