import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const bools = () =>
  edited(
    twoStations(),
    ['claim', 'ca', 'type', { base: 'BOOL', count: 4 }],
    ['claim', 'cb', 'type', { base: 'BOOL', count: 4 }],
  );

test('bits packed alike are silent', () => {
  expect(codesOf(bools())).toEqual([]);
});

test('one a bit against one a word is found with both', () => {
  const words = wordsOf(theFinding(edited(bools(), ['station', 'sb', 'layout', { boolPacking: 'word' }]), 'TYP 6'));
  expect(words).toContain('one a bit');
  expect(words).toContain('one a word');
});

test('numbered from the top against from the bottom is found', () => {
  const project = edited(bools(), ['station', 'sb', 'layout', { boolNumbering: 'from the top' }]);
  expect(wordsOf(theFinding(project, 'TYP 6'))).toContain('numbered from the top');
});
