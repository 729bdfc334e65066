import { edited, twoStations, without } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { explainLane } from './explain.js';

const explained = (project: Project) => explainLane(project, project.get('lane', 'lane')!)!;
const term = (project: Project, label: string) => explained(project).terms.find((t) => t.label === label)!.values;

test('both ends, term by term, in order of the ends', () => {
  const project = edited(twoStations(), ['station', 'sb', 'layout', { registerOrder: 'low first' }]);
  expect(explained(project).stations).toEqual(['A', 'B']);
  expect(term(project, 'place')).toEqual(['a100–a103', 'b200–b203']);
  expect(term(project, 'words of a longer value')).toEqual(['high first', 'low first']);
  expect(explained(project).formula).toContain('memory of A → no swap → carried as words → no swap → memory of B');
});

test('a REAL of 123.456 read in the wrong register order is −1.8833671e+25 [library: Python struct]', () => {
  const project = edited(twoStations(), ['station', 'sb', 'layout', { registerOrder: 'low first' }]);
  expect(explained(project).verdict).toBe('differs');
  expect(explained(project).sample).toBe('Block ca, REAL ×2: 123.456 sent, −1.8833671e+25 received');
  const mended = edited(project, ['claim', 'cb', 'swap', 'words']);
  expect(explained(mended).sample).toBe('Block ca, REAL ×2: 123.456 sent, 123.456 received');
});

test('where the second end writes, the way begins there', () => {
  const project = edited(twoStations(), ['claim', 'ca', 'direction', 'reads'], ['claim', 'cb', 'direction', 'writes']);
  expect(explained(project).formula).toContain('memory of B → no swap');
});

test('an end that says nothing leaves nothing to work out', () => {
  const { terms, formula, sample, verdict } = explained(without(twoStations(), 'claim', 'cb'));
  expect([verdict, sample, terms[1]!.values]).toEqual(['one-sided', null, ['a100–a103']]);
  expect(formula).toContain('Both ends have to say');
});
