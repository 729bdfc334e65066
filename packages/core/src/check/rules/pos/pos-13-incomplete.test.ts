import {
  codesOf,
  edited,
  fixed,
  theFinding,
  twoStations,
  without,
  wordsOf,
} from '../../../testing/two-stations.testing.js';

test('a missing place, length and type are one finding', () => {
  const project = edited(
    twoStations(),
    ['claim', 'cb', 'place', null],
    ['claim', 'cb', 'length', null],
    ['claim', 'cb', 'type', null],
  );
  expect(codesOf(project)).toEqual(['POS 13']);
  expect(wordsOf(theFinding(project, 'POS 13'))).toContain('B does not say its address, its length, its type');
});

test('text that cannot be read is named as it was typed', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length', { typed: '4,5' }]);
  expect(wordsOf(theFinding(project, 'POS 13'))).toContain('“4,5” of B cannot be read as its length');
});

test.each([
  ['place', 'w7', 'an address here looks like b100'],
  ['length', 'four', 'a length is a whole number'],
  ['type', 'RAEL', 'a type is one of IEC 61131-3'],
  ['direction', 'inout', 'writes, reads or both'],
])('%s “%s”: says what would be right', (field, typed, expected) => {
  const project = edited(twoStations(), ['claim', 'cb', field, { typed }]);
  expect(wordsOf(theFinding(project, 'POS 13'))).toContain(expected);
});

test('a whole claim that is missing is a Doubt', () => {
  const finding = theFinding(without(twoStations(), 'claim', 'cb'), 'POS 13');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('B says nothing of it');
});

test('a place that was not told is found; the fix tells it', () => {
  const project = edited(twoStations(), ['claim', 'ca', 'toldPlace', null]);
  const finding = theFinding(project, 'POS 13');
  expect(wordsOf(finding)).toContain('A does not say which place of B it asks for');
  expect(codesOf(fixed(project, finding))).toEqual([]);
});

test('a missing direction is the opposite of the other end’s', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'direction', null]);
  const after = fixed(project, theFinding(project, 'POS 13'));
  expect(after.get('claim', 'cb')?.direction).toBe('reads');
  expect(codesOf(after)).toEqual([]);
});
