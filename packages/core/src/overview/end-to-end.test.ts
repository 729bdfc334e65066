import { at, copying } from '../testing/copying.testing.js';
import type { Verdict } from '../lane/compare.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited, type FieldEdit } from '../testing/two-stations.testing.js';
import { endToEndMatrix } from './end-to-end.js';

const made = (project: ReturnType<typeof copying>, verdicts: Record<string, Verdict> = {}) =>
  endToEndMatrix(project, (lane) => verdicts[lane] ?? 'agreed', []).cells.map((c) => [
    `${c.source} ${c.sink}`,
    c.bits / 16,
    c.lanes.map((l) => l.lane),
    c.verdict,
  ]);

test('what C writes to A, and A copies on to B, goes from C to B; A is on the way only', () => {
  const cells = made(copying());
  expect(cells).toContainEqual(['sc sb', 4, ['lane3', 'on'], 'agreed']);
  expect(cells.map(([way]) => way)).not.toContain('sc sa');
  // What begins in A itself is A’s.
  expect(cells).toContainEqual(['sa sb', 4, ['lane'], 'agreed']);
});

test('what is put in as REAL and taken out as DINT does not arrive, though each lane agrees', () => {
  const real: FieldEdit[] = ['ca3', 'cb3'].map((id) => ['claim', id, 'type', { base: 'REAL', count: 2 }]);
  const dint: FieldEdit[] = ['con', 'don'].map((id) => ['claim', id, 'type', { base: 'DINT', count: 2 }]);
  const verdict = (...edits: FieldEdit[]) =>
    made(edited(copying(), ...real, ...edits)).find(([way]) => way === 'sc sb')![3];
  expect(verdict()).toBe('agreed');
  expect(verdict(...dint)).toBe('differs');
  // Words are handed on as they are: what counts is how the first and the last keep a value, not what is said in between.
  const low = { registerOrder: 'low first' };
  expect(verdict(['claim', 'ca3', 'layout', low])).toBe('agreed');
  expect(verdict(['claim', 'cb3', 'layout', low], ['claim', 'ca3', 'layout', low])).toBe('differs');
  expect(verdict(['claim', 'cb3', 'layout', low], ['claim', 'don', 'layout', low])).toBe('agreed');
  expect(verdict(['claim', 'don', 'toldPlace', 'a640'])).toBe('differs');
});

test('without the copy it ends in A, and the lane that read it there begins in A', () => {
  const cells = made(edited(copying(), ['copy', 'copy', 'length', null]));
  expect(cells).toContainEqual(['sc sa', 4, ['lane3'], 'agreed']);
  expect(cells.find(([way]) => way === 'sa sb')![2]).toEqual(expect.arrayContaining(['lane', 'on']));
  expect(made(smallPlant()).map(([way]) => way)).toEqual(expect.arrayContaining(['sc sa', 'sa sb', 'sb sa']));
});

test('where a copy is the last, and nobody takes it from there, the lanes up to it count', () => {
  const ended = (...edits: FieldEdit[]) => {
    const project = edited(copying({ to: at('areaa', 'va', 700), reader: null }), ...edits);
    return made(project).find(([way]) => way === 'sc sa')![3];
  };
  expect(ended()).toBe('agreed');
  expect(ended(['claim', 'cb3', 'type', { base: 'LREAL', count: 1 }])).toBe('differs');
});
