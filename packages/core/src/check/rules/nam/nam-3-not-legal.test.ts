import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const named = (name: string) =>
  edited(
    twoStations(),
    ['profile', 'pa', 'nameRule', { longest: 12, caseMatters: false, source: 'assumed for the example' }],
    ['lane', 'lane', 'items', { k: { order: 10 } }],
    ['claim', 'ca', 'items', { k: { name, type: { base: 'REAL', count: 1 }, offset: { bits: 0 } } }],
    [
      'claim',
      'cb',
      'items',
      { k: { name: 'A name as long as it likes', type: { base: 'REAL', count: 1 }, offset: { bits: 0 } } },
    ],
  );

test('a name as long as the station takes is silent; the other end has a rule of its own', () => {
  expect(codesOf(named('TwelveLetter'))).toEqual([]);
});

test('a longer one is found with both lengths and where the limit stands', () => {
  const words = wordsOf(theFinding(named('ThirteenChars'), 'NAM 3'));
  expect(words).toContain('ThirteenChars has 13 characters, A takes 12');
  expect(words).toContain('assumed for the example');
});

test('an emoji counts as one character', () => {
  expect(codesOf(named('❄'.repeat(12)))).toEqual([]);
});

test('where names are identifiers, a hyphen is named [published: IEC 61131-3, identifiers] [from memory]', () => {
  const rule = { form: 'identifier', caseMatters: false, source: 'IEC 61131-3' };
  expect(codesOf(edited(named('Level_1'), ['profile', 'pa', 'nameRule', rule]))).toEqual([]);
  const words = wordsOf(theFinding(edited(named('Level-1'), ['profile', 'pa', 'nameRule', rule]), 'NAM 3'));
  expect(words).toContain('Level-1 is no name at A: “-” is neither a letter, a digit nor an underscore');
});

test('the name of a station is no longer than its type takes, either', () => {
  const rule = { longest: 5, caseMatters: false, source: 'assumed for the example' };
  const project = (name: string) =>
    edited(twoStations(), ['profile', 'pa', 'nameRule', rule], ['station', 'sa', 'name', name]);
  expect(codesOf(project('Baker'))).toEqual([]);
  expect(wordsOf(theFinding(project('Bakery'), 'NAM 3'))).toContain(
    'The name Bakery has 6 characters, and a station of its type takes 5',
  );
});
