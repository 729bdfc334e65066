import { expectationHolds } from '../../../route/reach.js';
import { routeName } from './route-report.js';
import type { Report, Rule } from '../../rule.js';

export const expectationHeld: Rule = {
  meta: {
    code: 'ROU 11',
    title: 'Who must reach whom does, and who must not does not',
    source: 'common practice: what is kept apart is kept apart on purpose',
    messages: {
      unreached: {
        severity: 'blocker',
        headline: '{a} must reach {b} with {traffic}, and does not: {why}',
        says: ['{a} [[must reach]] {b}', '[[{why}]]'],
        consequence: 'Whoever relies on it finds nobody there.',
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
        ...{ message: expected.must === 'must reach' ? 'unreached' : 'reached', label: 'reach' },
        about: { kind: 'expectation', id: expected.id, name: routeName(reader, expected) },
        parties: [{ station: from }, { station: to }],
        cells: [{ kind: 'expectation', id: expected.id, path: ['must'] }],
        params: { a: name(from), b: name(to), traffic, why },
        subjects: [expected.id],
      };
    },
  },
};
