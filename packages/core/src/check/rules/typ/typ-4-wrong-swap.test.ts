import { codesOf, edited, fixed, theFinding, twoStations } from '../../../testing/two-stations.testing.js';

const low = () => edited(twoStations(), ['station', 'sb', 'layout', { registerOrder: 'low first' }]);

test('one swap between ends of different order is right', () => {
  expect(codesOf(edited(low(), ['claim', 'ca', 'swap', 'words']))).toEqual([]);
  expect(codesOf(edited(low(), ['end', 'eb', 'swap', 'words']))).toEqual([]);
});

test('a swap where both have one order is found, and taken out by the fix', () => {
  const project = edited(twoStations(), ['claim', 'ca', 'swap', 'words']);
  expect(codesOf(fixed(project, theFinding(project, 'TYP 4')))).toEqual([]);
});

test('swapped at both ends is no swap', () => {
  const project = edited(low(), ['claim', 'ca', 'swap', 'words'], ['claim', 'cb', 'swap', 'words']);
  expect(codesOf(fixed(project, theFinding(project, 'TYP 4')))).toEqual([]);
});
