import { shownWord } from '../../../text/shown-word.js';
import { expectationHolds } from '../../../route/reach.js';
import { routeName } from './route-report.js';
import { findRoutes } from '../../../route/find-routes.js';
import type { Expectation } from '../../../model/expectation.js';
import type { Reader } from '../../../model/project.js';
import type { Cell } from '../../../finding/finding.js';
import type { Report, Rule } from '../../rule.js';

export const expectationHeld: Rule = {
  meta: {
    code: 'ROU 11',
    title: 'Who must reach whom does, and who must not does not',
    source: 'common practice: what is kept apart is kept apart on purpose',
    yieldsAtCell: ['ADR 2', 'ADR 3', 'LIN 7'],
    messages: {
      unreached: {
        severity: 'blocker',
        headline: '{a} must reach {b} with {traffic}, and does not: {why}',
        says: ['{a} [[must reach]] {b}', '[[{why}]]'],
        consequence: 'The required access fails.',
        remedy: 'Put something between them that passes {traffic}, or drop the expectation.',
      },
      reached: {
        severity: 'blocker',
        headline: '{a} must not reach {b} with {traffic}, and does: {why}',
        says: ['{a} [[must not reach]] {b}', 'it does [[{why}]]'],
        consequence: 'Whoever sits at {a} can do there what nobody wanted.',
        remedy: 'Take one of them off the network that they share, or drop the expectation.',
      },
    },
  },
  on: {
    *expectation(expected, { reader }): Generator<Report> {
      const { holds, why } = expectationHolds(reader, expected);
      if (holds) return;
      const { from, to, traffic } = expected;
      const name = (id: string) => reader.get('station', id)?.name ?? '';
      yield {
        message: expected.must === 'must reach' ? 'unreached' : 'reached',
        label: 'reach',
        about: { kind: 'expectation', id: expected.id, name: routeName(reader, expected) },
        parties: [{ station: from }, { station: to }],
        cells: [{ kind: 'expectation', id: expected.id, path: ['must'] }, ...whatStops(reader, expected)],
        params: { a: name(from), b: name(to), traffic: shownWord(traffic), why },
        subjects: [expected.id],
      };
    },
  },
};

/** Where the nearest way is stopped: what is wrong there may have a finding of its own. */
function whatStops(reader: Reader, { from, to, traffic, must }: Expectation): Cell[] {
  if (must !== 'must reach') return [];
  const cell = findRoutes(reader, { from, to, traffic, port: null }, 1).nearest?.failures[0]?.condition.cell;
  return cell ? [cell] : [];
}
