import { routeReport, stopOf } from './route-report.js';
import { textFaults, textReport, typeTheRightText } from './text-report.js';
import type { Rule } from '../../rule.js';

export const noCpuThere: Rule = {
  meta: {
    code: 'ROU 5',
    title: 'The last hop leads to a slot that holds a CPU',
    source: 'common practice: the classic slip is the slot of the communication module itself',
    yieldsAtCell: ['HWS 1', 'HWS 2 outside'],
    messages: {
      slot: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {found}; the CPU is in {right}',
        says: ['typed: [[{stated}]]', '{found}; right is [[{whole}]]'],
        consequence: 'What is in that slot has none of the tags, and does not answer.',
        remedy: 'Type the slot of the CPU.',
      },
      none: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {found}',
        says: ['hop {hop}: {must}', '[[{found}]]'],
        consequence: 'There is nothing that could answer.',
        remedy: 'Place the CPU in the rack under Stations, or ask for its slot.',
      },
    },
  },
  on: {
    *route(route, { reader }) {
      for (const { fault, text, right } of textFaults(reader, route)) {
        if (fault.kind === 'no CPU') yield textReport(reader, route, 'slot', fault, text, right);
      }
      const first = stopOf(reader, route)?.first;
      if (first?.condition.code !== 'ROU 5') return;
      const { must, found } = first.condition;
      yield routeReport(reader, route, 'none', 'no CPU', { hop: String(first.hop + 1), must, found });
    },
  },
  fixes: typeTheRightText,
};
