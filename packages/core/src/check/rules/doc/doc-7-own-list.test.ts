import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import { codesOf } from '../../../testing/two-stations.testing.js';
import type { FieldEdit } from '../../../testing/two-stations.testing.js';

const bound = (fields: Record<string, unknown>): FieldEdit[] => [
  ['tag', 'tag1', 'station', 'sa'],
  ...Object.entries(fields).map(([field, value]): FieldEdit => ['tag', 'tag1', field, value]),
  ['claim', 'ca3', 'place', { area: 'tag1', view: 'tag', number: 0 }],
];

test('a list of tags that asks elsewhere than the exchange is named with both texts, and either can be taken', () => {
  const edits: FieldEdit[] = [...bound({ asks: '%MW40.3' }), ['claim', 'ca3', 'toldPlace', '%MW40']];
  expect(words('DOC 7', ...edits)).toContain('asks for %MW40 in this exchange');
  expect(words('DOC 7', ...edits)).toContain('its list asks for %MW40.3');
  expect(mended('DOC 7', ...edits)).not.toContain('DOC 7');
});

test('a type that the list has otherwise is named with both types', () => {
  const edits: FieldEdit[] = [
    ...bound({ type: { base: 'UINT', count: 1 } }),
    ['claim', 'ca3', 'type', { base: 'INT', count: 1 }],
    ['claim', 'cb3', 'type', { base: 'INT', count: 1 }],
  ];
  expect(words('DOC 7', ...edits)).toContain('is INT in this exchange');
  expect(words('DOC 7', ...edits)).toContain('its list has UINT');
  expect(mended('DOC 7', ...edits)).not.toContain('DOC 7');
});

test('spaces, case, and what one of the two does not say are no difference', () => {
  expect(codesOf(plant(...bound({ asks: '%mw 40' }), ['claim', 'ca3', 'toldPlace', '%MW40']))).not.toContain('DOC 7');
  expect(codesOf(plant(...bound({ asks: '' }), ['claim', 'ca3', 'toldPlace', '%MW40']))).not.toContain('DOC 7');
});

test('an element of an array, and a bit of a word, are parts of what the list has', () => {
  const part = (place: Record<string, unknown>, base: string): FieldEdit[] => [
    ...bound({ type: { base: 'WORD', count: 4 } }),
    ['claim', 'ca3', 'place', { area: 'tag1', view: 'tag', ...place }],
    ['claim', 'ca3', 'type', { base, count: 1 }],
    ['claim', 'cb3', 'type', { base, count: 1 }],
  ];
  expect(codesOf(plant(...part({ number: 3 }, 'WORD')))).not.toContain('DOC 7');
  expect(codesOf(plant(...part({ number: 0, bit: 5 }, 'BOOL')))).not.toContain('DOC 7');
  expect(codesOf(plant(...part({ number: 3 }, 'DINT')))).toContain('DOC 7');
});

test('a type that differs at both ends of the exchange already is not named a second time', () => {
  const edits: FieldEdit[] = [
    ...bound({ type: { base: 'REAL', count: 1 } }),
    ['claim', 'ca3', 'type', { base: 'INT', count: 1 }],
    ['claim', 'cb3', 'type', { base: 'REAL', count: 1 }],
  ];
  expect(codesOf(plant(...edits))).toContain('TYP 10');
  expect(codesOf(plant(...edits))).not.toContain('DOC 7');
});
