import { edited, twoStations, without, type FieldEdit } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { compareLane, laneName, worse, VERDICTS } from './compare.js';

const compared = (project: Project) =>
  compareLane(project, project.get('lane', 'lane')!, project.get('exchange', 'x')!);
const verdict = (...edits: FieldEdit[]) => compared(edited(twoStations(), ...edits)).verdict;

test.each([
  ['both ends alike', 'agreed', []],
  ['an outside end that has not confirmed', 'described', [['station', 'sb', 'party', 'outside']]],
  [
    'an outside end that has',
    'agreed',
    [
      ['station', 'sb', 'party', 'outside'],
      ['end', 'eb', 'confirmed', true],
    ],
  ],
  ['another length', 'differs', [['claim', 'cb', 'length.count', 5]]],
  ['a length that cannot be read', 'unchecked', [['claim', 'cb', 'length', { typed: 'x' }]]],
  ['a length that is missing', 'one-sided', [['claim', 'cb', 'length', null]]],
  ['a place that was not told', 'one-sided', [['claim', 'ca', 'toldPlace', null]]],
  ['registers for longer values', 'unchecked', [['claim', 'cb', 'type', { base: 'WORD', count: 4 }]]],
  ['registers for longer values of another length', 'differs', [['claim', 'cb', 'type', { base: 'WORD', count: 2 }]]],
  [
    'a sign that differs',
    'agreed',
    [
      ['claim', 'ca', 'type', { base: 'DINT', count: 2 }],
      ['claim', 'cb', 'type', { base: 'UDINT', count: 2 }],
    ],
  ],
] as [string, string, FieldEdit[]][])('%s: %s', (_, expected, edits) => {
  expect(verdict(...edits)).toBe(expected);
});

test('an end that says nothing leaves the lane one-sided, whatever the other says', () => {
  const result = compared(without(twoStations(), 'claim', 'cb'));
  expect(result.verdict).toBe('one-sided');
  expect(result.silent.map((e) => e.id)).toEqual(['eb']);
});

test('why a lane is unchecked is said', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'type', { base: 'WORD', count: 4 }]);
  expect(compared(project).unknown).toContain('the order of its registers is not known');
});

test('where values travel by themselves, order and layout are nobody’s concern', () => {
  const facts = { name: 'typed variables', carries: 'values', places: 'free', tcpPort: null, unitTold: false };
  expect(
    verdict(
      ['exchange', 'x', 'protocol', 'other'],
      ['exchange', 'x', 'facts', facts],
      ['station', 'sb', 'layout', { registerOrder: 'low first', byteOrder: 'low first' }],
    ),
  ).toBe('agreed');
});

test('the worse of two verdicts is the later of the list', () => {
  for (const a of VERDICTS)
    for (const b of VERDICTS)
      expect(VERDICTS.indexOf(worse(a, b))).toBe(Math.max(VERDICTS.indexOf(a), VERDICTS.indexOf(b)));
});

test('a lane is called by the first of its claims that has a name', () => {
  const project = twoStations();
  expect(laneName(project, project.get('lane', 'lane')!)).toBe('Block ca');
  const unnamed = edited(project, ['claim', 'ca', 'name', ' ']);
  expect(laneName(unnamed, unnamed.get('lane', 'lane')!)).toBe('Block cb');
});
