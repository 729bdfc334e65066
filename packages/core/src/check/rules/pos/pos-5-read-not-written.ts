import { set } from '../../../change/make.js';
import type { Rule } from '../../rule.js';
import { unmatchedReport, unmatchedUses } from './area-flow.js';
import { besideModules } from './beside-modules.js';
import { copiesNotSeen, windowToMoveTo } from './copy-not-seen.js';

export const readNotWritten: Rule = {
  meta: {
    code: 'POS 5',
    yieldsAtCell: ['SIZ 9'],
    title: 'What is sent from a place is put there by somebody, and a copy ends where its reader looks',
    source: 'common practice: a value needs a source, and a copied value somebody who can see it',
    yieldsTo: ['TYP 9', 'TYP 10', 'TYP 1', 'POS 1'],
    messages: {
      neverPut: {
        yieldsAtCell: ['POS 5 notSeen', 'POS 5 overwritten'],
        severity: 'doubt',
        headline: '{a}: {range} of {area} is sent ({what}), but nothing puts data there',
        says: ['{what}: [[{range}]] of {area} is sent; no program and no exchange writes it'],
        consequence: 'The reader gets an arbitrary value.',
        remedy: 'Name the area’s own writer, or let an exchange put the data there.',
      },
      noModule: {
        severity: 'doubt',
        headline: '{a}: {tags} in {area}, where no module is',
        says: ['{tags} at [[{range}]]; modules are at {modules}'],
        consequence: 'What is read there stays as it is, and what is set there moves nothing.',
        remedy: 'Move the tags along with their module, or enter the module.',
      },
      notSeen: {
        severity: 'blocker',
        headline: '{copy} of {a} ends at {range}, where {b} does not look',
        says: ['copied to [[{range}]]', 'reads [[{windows}]]'],
        consequence: '{b} never sees it, and goes on as if nothing had happened.',
        remedy: 'Copy it into one of the windows that {b} reads, or let {b} read {range}, too.',
      },
      overwritten: {
        severity: 'blocker',
        headline: '{copy} of {a} ends at {range}, which {b} writes itself',
        says: ['copied to [[{range}]]', 'writes [[{windows}]]'],
        consequence: '{b} overwrites what it is meant to read.',
        remedy: 'Copy it into a window that {b} reads.',
      },
    },
  },
  on: {
    *area(area, context) {
      for (const one of unmatchedUses(area, context, 'put')) {
        const report = unmatchedReport(area, context, one);
        if (report) yield report;
      }
      yield* copiesNotSeen(area, context);
      yield* besideModules(area, context);
    },
  },
  fixes(finding, reader) {
    const copy = reader.get('copy', finding.cells[0]?.id ?? '');
    const target = copy && windowToMoveTo(reader, copy);
    if (!target) return [];
    return [{ label: `copy it to ${target.text}`, changes: [set('copy', copy, ['to'], target.place)] }];
  },
};
