import { routeReport } from './route-report.js';
import { textFaults, textReport, typeTheRightText } from './text-report.js';
import type { Report, Rule } from '../../rule.js';

export const textWrong: Rule = {
  meta: {
    code: 'ROU 8',
    title: 'A stated route can be read, and names what is there',
    source: 'common practice: a text is typed by hand, and outlives what it was typed for',
    messages: {
      wrong: {
        severity: 'blocker',
        headline: '{route}, hop {hop}: {found}',
        says: ['typed: [[{stated}]]', 'right is [[{whole}]]'],
        consequence: 'The tool finds no station on that path.',
        remedy: 'Type {right}.',
      },
      unread: {
        severity: 'blocker',
        headline: '{route}: the text cannot be read; {found}',
        says: ['typed: [[{stated}]]', 'right is [[{whole}]]'],
        consequence: 'The tool refuses it, or takes something else for it.',
        remedy: 'Type it as this station writes routes.',
      },
      open: {
        severity: 'blocker',
        headline: '{route}: the text is built from {built}, and nothing keeps it within what is permitted',
        says: ['built from [[{built}]]', 'permitted: {count}'],
        consequence: 'One wrong value and the program asks a station that nobody thought of.',
        remedy: 'Have the program take the permitted texts only, and say so here.',
      },
    },
  },
  on: {
    *route(route, { reader }): Generator<Report> {
      for (const { fault, text, right } of textFaults(reader, route)) {
        if (fault.kind === 'unread') yield textReport(reader, route, 'unread', fault, text, right);
        else if (['not there', 'hop missing', 'hop too many'].includes(fault.kind)) {
          yield textReport(reader, route, 'wrong', fault, text, right);
        }
      }
      if (!route.built || route.built.checked) return;
      const params = { built: route.built.from, count: textsWords(Object.keys(route.built.permitted).length) };
      const cell = { kind: 'route' as const, id: route.id, path: ['built', 'checked'] };
      yield { ...routeReport(reader, route, 'open', 'built text', params, cell), subjects: [route.id, 'built'] };
    },
  },
  fixes: typeTheRightText,
};

const textsWords = (count: number): string => (count === 1 ? '1 text' : `${count} texts`);
