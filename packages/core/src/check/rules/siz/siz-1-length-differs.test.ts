import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const longer = () => edited(twoStations(), ['claim', 'ca', 'length', { count: 5, unit: 16 }]);

test('equal lengths are silent, also in different units', () => {
  expect(codesOf(twoStations())).toEqual([]);
  // 8 bytes are 4 words. [common practice]
  expect(codesOf(edited(twoStations(), ['claim', 'cb', 'length', { count: 8, unit: 8 }]))).toEqual([]);
});

test('names both lengths and both ranges', () => {
  const words = wordsOf(theFinding(longer(), 'SIZ 1'));
  expect(words).toContain('A writes 5 words, B reads 4 words');
  expect(words).toContain('a100–a104');
  expect(words).toContain('b200–b203');
});

test('says what is cut', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'length', { count: 3, unit: 16 }]);
  expect(wordsOf(theFinding(project, 'SIZ 1'))).toContain('only 1 of 2 values of Block ca fit');
});

test('either end can give way; the longer is proposed', () => {
  const finding = theFinding(longer(), 'SIZ 1');
  expect(codesOf(fixed(longer(), finding, 0))).toEqual([]);
  expect(codesOf(fixed(longer(), finding, 1))).toEqual([]);
  expect(fixed(longer(), finding, 0).get('claim', 'cb')?.length).toEqual({ count: 5, unit: 16 });
});
