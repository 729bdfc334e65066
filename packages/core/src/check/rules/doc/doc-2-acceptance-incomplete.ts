import { isComplete } from '../../acceptance.js';
import type { Rule } from '../../rule.js';

export const acceptanceIncomplete: Rule = {
  meta: {
    code: 'DOC 2',
    title: 'An accepted Doubt has a reason and a name',
    source: 'common practice: an acceptance that nobody stands for is none',
    messages: {
      incomplete: {
        severity: 'blocker',
        headline: 'An acceptance of {finding} has no {lacks}',
        says: ['accepted without [[{lacks}]]'],
        consequence: 'The Doubt still counts, and nobody can be asked.',
        remedy: 'Accept it again with reason and name, or take the acceptance out.',
      },
    },
  },
  on: {
    *project(info, { all }) {
      for (const acceptance of all('acceptance')) {
        if (isComplete(acceptance)) continue;
        const lacks = [acceptance.reason.trim() === '' ? 'reason' : '', acceptance.name.trim() === '' ? 'name' : ''];
        yield {
          message: 'incomplete',
          label: 'acceptance',
          about: { kind: 'project', id: info.id, name: info.name || 'The project' },
          parties: [],
          cells: [{ kind: 'acceptance', id: acceptance.id, path: ['reason'] }],
          params: {
            finding: acceptance.finding.split(' · ')[0] ?? 'a finding',
            lacks: lacks.filter((l) => l !== '').join(' and '),
          },
          subjects: [acceptance.id],
        };
      }
    },
  },
  fixes(finding, reader) {
    const acceptance = reader.get('acceptance', finding.cells[0]!.id)!;
    const change = { kind: 'acceptance' as const, id: acceptance.id, path: [], before: { ...acceptance } };
    return [{ label: 'Take the acceptance out', changes: [change] }];
  },
};
