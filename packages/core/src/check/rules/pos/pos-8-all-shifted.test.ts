import type { Project } from '../../../model/project.js';
import {
  added,
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  wordsOf,
} from '../../../testing/two-stations.testing.js';

/** A second lane beside the first, so that an end has two references. */
function twoLanes(): Project {
  const base = twoStations();
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  const at = (area: string, view: string) => ({ area, view, number: 500 });
  return added(
    added(base, 'lane', { id: 'lane2', order: 20, exchange: 'x', items: {} }),
    'claim',
    { ...ca, id: 'ca2', lane: 'lane2', place: at('areaa', 'va'), toldPlace: 'b500', name: 'Second' },
    { ...cb, id: 'cb2', lane: 'lane2', place: at('areab', 'vb'), name: 'Second b' },
  );
}
const told = (first: string, second: string) =>
  edited(twoLanes(), ['claim', 'ca', 'toldPlace', first], ['claim', 'ca2', 'toldPlace', second]);

test('both right is silent; one wrong, or both by different amounts, is each its own finding', () => {
  expect(codesOf(told('b200', 'b500'))).toEqual([]);
  expect(codesOf(told('b201', 'b500'))).toEqual(['POS 1']);
  expect(codesOf(told('b201', 'b502'))).toEqual(['POS 1', 'POS 1']);
});

test('both one too high are one finding, a Doubt, and one shift mends all', () => {
  const project = told('b201', 'b501');
  expect(codesOf(project)).toEqual(['POS 8']);
  const finding = theFinding(project, 'POS 8');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('all 2 references of A into B are 1 word too high');
  const mended = fixed(project, finding);
  expect(codesOf(mended)).toEqual([]);
  expect(mended.get('claim', 'ca2')?.toldPlace).toBe('b500');
});

test('too low is said as such', () => {
  expect(wordsOf(theFinding(told('b198', 'b498'), 'POS 8'))).toContain('2 words too low');
});

test('a single reference is no series', () => {
  expect(codesOf(edited(twoStations(), ['claim', 'ca', 'toldPlace', 'b201']))).toEqual(['POS 1']);
});
