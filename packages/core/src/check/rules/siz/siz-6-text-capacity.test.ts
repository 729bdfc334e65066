import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const text = (capacity: number) => ({ base: 'STRING', count: 1, capacity });
const texts = (a: number, b: number) =>
  edited(
    twoStations(),
    ['claim', 'ca', 'type', text(a)],
    ['claim', 'cb', 'type', text(b)],
    ['claim', 'ca', 'length', { count: 10, unit: 16 }],
    ['claim', 'cb', 'length', { count: 10, unit: 16 }],
  );

test('one capacity at both ends is silent', () => {
  expect(codesOf(texts(20, 20))).toEqual([]);
});

test('two capacities are a Doubt with both, and the fix makes them one', () => {
  const finding = theFinding(texts(20, 16), 'SIZ 6');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('STRING[20] at A, STRING[16] at B');
  expect(codesOf(fixed(texts(20, 16), finding, 0))).toEqual([]);
  expect(codesOf(fixed(texts(20, 16), finding, 1))).toEqual([]);
});

test('a header at one end only is a Blocker: it would be read as characters', () => {
  const project = edited(texts(16, 16), ['station', 'sb', 'layout', { stringHeader: 'length' }]);
  const finding = theFinding(project, 'SIZ 6');
  expect(finding.severity).toBe('blocker');
  expect(wordsOf(finding)).toContain('with nothing before it, a byte a character at A, with length before it');
});

test('characters of a byte do not arrive as characters of a word', () => {
  const wide = edited(texts(8, 8), ['station', 'sb', 'layout', { characters: 'word' }]);
  expect(theFinding(wide, 'SIZ 6').message).toBe('header');
});
