import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const elsewhere = () => edited(twoStations(), ['claim', 'ca', 'toldPlace', 'b201']);

test('the told place in any notation of the other end is silent', () => {
  expect(codesOf(edited(twoStations(), ['claim', 'ca', 'toldPlace', ' B200 ']))).toEqual([]);
});

test('another place is found with both', () => {
  const words = wordsOf(theFinding(elsewhere(), 'POS 1'));
  expect(words).toContain('A asks for b201, B has it at b200–b203');
});

test('the fix types the other end’s place', () => {
  expect(codesOf(fixed(elsewhere(), theFinding(elsewhere(), 'POS 1')))).toEqual([]);
});

test('where places are free, nobody is told', () => {
  const project = edited(
    elsewhere(),
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero' }],
  );
  expect(codesOf(project).filter((c) => c.startsWith('POS'))).toEqual([]);
});
