import type { ChangeSet } from '../change/change.js';
import { set } from '../change/make.js';
import type { Entity, Kind } from '../model/kinds.js';
import type { Project } from '../model/project.js';
import { applied, findingsOf, twoStations } from '../testing/two-stations.testing.js';
import { fixesOf } from './fixes-of.js';

const typed = (project: Project, kind: Kind, id: string, path: string, value: unknown): ChangeSet => ({
  id: `${kind} ${path}`,
  label: '',
  changes: [set(kind, project.get(kind, id) as Entity, path.split('.'), value)],
});

/** Labels of the fixes of the first finding of this code, after these edits, of which all or none are known. */
function labels(code: string, edits: ((project: Project) => ChangeSet)[], known = true): string[] {
  let project = twoStations();
  const made: ChangeSet[] = [];
  for (const edit of edits) {
    made.push(edit(project));
    project = applied(project, made.at(-1)!);
  }
  const finding = findingsOf(project).find((f) => f.code === code)!;
  return fixesOf(finding, project, known ? made : []).map(({ label }) => label);
}

const ownAddress = (project: Project) => typed(project, 'port', 'portb', 'address', '10.0.0.7');

test('what was typed last gives way: what stood there before is put back, in the words of its end', () => {
  expect(labels('ADR 13', [ownAddress])).toEqual(['address: back to 10.0.0.2', 'A has entered: 10.0.0.2 → 10.0.0.7']);
  const place = { area: 'areab', view: 'vb', number: 210 };
  expect(labels('POS 1', [(p) => typed(p, 'claim', 'cb', 'place', place)])).toEqual([
    'place: back to b200',
    'A asks for b210',
  ]);
  // Typed as one text, stored in parts.
  expect(labels('POS 1', [(p) => typed(p, 'claim', 'cb', 'place.number', 210)])[0]).toBe('place: back to b200');
  const shorter = (p: Project) => typed(p, 'claim', 'ca', 'length', { count: 3, unit: 16 });
  // The rule says the same, in its own words.
  expect(labels('SIZ 1', [shorter])[0]).toBe('A: 3 words → 4 words');
});

test('without history, and for what was not edited, the rule’s own order stands', () => {
  expect(labels('ADR 13', [ownAddress], false)).toEqual(['A has entered: 10.0.0.2 → 10.0.0.7']);
});

test('what was empty before is not emptied again, nor what was edited once more since', () => {
  const told = (value: string) => (project: Project) => typed(project, 'end', 'ea', 'told.eb.tcpPort', value);
  expect(labels('ADR 12', [told('503')])).toEqual(['A has entered: 503 → 502']);
  // The newest counts: back to 503 would be as wrong, and is said as what it is.
  expect(labels('ADR 12', [told('503'), told('504')])[0]).toBe('tcp port: back to 503');
});

test('a row that somebody dropped is put back as a whole', () => {
  const drop = (project: Project): ChangeSet => ({
    id: 'drop',
    label: '',
    changes: [{ kind: 'claim', id: 'cb', path: [], before: project.get('claim', 'cb') as never }],
  });
  expect(labels('POS 13', [drop])[0]).toMatch(/^put back the /);
});
