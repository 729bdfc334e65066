import { textFaults, textReport, typeTheRightText } from './text-report.js';
import type { Rule } from '../../rule.js';

export const backplaneHop: Rule = {
  meta: {
    code: 'ROU 4',
    title: 'The text has the hop through the backplane where one is needed, and only there',
    source: 'common practice: a port on a module of its own is one hop away from the CPU',
    messages: {
      missing: {
        severity: 'blocker',
        headline: '{route}: the text leaves out the hop through the backplane, {right}',
        says: ['typed: [[{stated}]]', 'the port of {b} is on a module of its own; right is [[{whole}]]'],
        consequence: 'The request ends at the communication module, which has none of the tags.',
        remedy: 'Add the hop to the slot of the CPU.',
      },
      needless: {
        severity: 'doubt',
        headline: '{route}, hop {hop}: the text goes through a backplane, and none is needed',
        says: ['typed: [[{stated}]]', 'the port of {b} is on the CPU itself; right is [[{whole}]]'],
        consequence: 'Some types pass over it, others refuse the whole route.',
        remedy: 'Leave the hop out.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      for (const { fault, text, right } of textFaults(reader, route)) {
        if (fault.kind !== 'rack missing' && fault.kind !== 'rack needless') continue;
        const message = fault.kind === 'rack missing' ? 'missing' : 'needless';
        yield textReport(reader, route, message, fault, text, right);
      }
    },
  },
  fixes: typeTheRightText,
};
