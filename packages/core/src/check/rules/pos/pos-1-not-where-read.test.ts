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

/** Cyclic blocks of a protocol in which nobody has to name the other's place. */
const free = (told: string | null, end = 'ca') =>
  edited(
    twoStations(),
    ['claim', 'ca', 'toldPlace', null],
    ['claim', end, 'toldPlace', told],
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' }],
    ['exchange', 'x', 'watchedBy', 'lane'],
  );

test('a place that was typed is compared under every protocol, at whichever end', () => {
  expect(codesOf(free(null))).toEqual([]);
  expect(codesOf(free('b200'))).toEqual([]);
  expect(wordsOf(theFinding(free('b201'), 'POS 1'))).toContain('A asks for b201, B has it at b200–b203');
  expect(codesOf(free('a100', 'cb'))).toEqual([]);
  expect(wordsOf(theFinding(free('a130', 'cb'), 'POS 1'))).toContain('B asks for a130, A has it at a100–a103');
  const byte = wordsOf(theFinding(free('b400'), 'POS 1'));
  expect(byte).toContain('2× the other: the ends count in different units');
  expect(codesOf(fixed(free('b400'), theFinding(free('b400'), 'POS 1')))).toEqual([]);
});
