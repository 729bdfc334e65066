import { smallPlant } from '../../../testing/random-edits.testing.js';
import {
  codesOf,
  edited,
  findingsOf,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../../../testing/two-stations.testing.js';

/** B is a gateway between A, which writes to it at b200, and C, which reads it from somewhere. */
const window = (number: number) => {
  const base = edited(smallPlant(), ['area', 'areab', 'writers', []], ['claim', 'cb2', 'direction', 'writes']);
  const without = edited(
    base,
    ['claim', 'cb2', 'place', { area: 'areab', view: 'vb', number }],
    ['claim', 'cb2', 'items', {}],
  );
  return edited(
    without,
    ...['ca2', 'cb2'].flatMap((id): FieldEdit[] => [
      ['claim', id, 'items', {}],
      ['claim', id, 'type', { base: 'WORD', count: 4 }],
      ['claim', id, 'length', { count: 4, unit: 16 }],
    ]),
    ['claim', 'ca2', 'toldPlace', `b${number}`],
  );
};
const codes = (number: number) =>
  findingsOf(window(number))
    .filter((f) => (f.code === 'SIZ 9' || f.code === 'POS 5') && f.cells[0]?.id === 'cb2')
    .map((f) => f.code);

test('a window on what is written is silent; anywhere else nothing is put there', () => {
  expect(codes(200)).toEqual([]);
  expect(codes(202)).toEqual([]);
  expect(codes(301)).toEqual(['POS 5']);
});

test('byte offset 400 is word 200 [common practice]: a window at twice or half the place names the factor', () => {
  expect(codes(400)).toEqual(['SIZ 9']);
  expect(codes(100)).toEqual(['SIZ 9']);
  const finding = theFinding(window(400), 'SIZ 9');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('no data arrives in b400');
  expect(wordsOf(finding)).toContain('a factor of 2 away');
});

test('where places are compared, POS 1 names the factor and this is silent', () => {
  const project = edited(twoStations(), ['claim', 'ca', 'toldPlace', 'b400']);
  expect(codesOf(project)).toEqual(['POS 1']);
  expect(wordsOf(theFinding(project, 'POS 1'))).toContain('2× the other: the ends count in different units');
});

test('lengths in such a ratio are one finding, which names the factor', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length', { count: 4, unit: 8 }]);
  expect(codesOf(project)).toEqual(['SIZ 1']);
  expect(wordsOf(theFinding(project, 'SIZ 1'))).toContain('2 times; one end may count other units');
});
