import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const references = (notation: string, number: number, words = 70_000) =>
  edited(
    twoStations(),
    [
      'profile',
      'pb',
      'views.vb',
      { order: 10, name: 'references', areaKind: 'memory', notation, table: 'holding registers', unit: 16, first: 1 },
    ],
    ['area', 'areab', 'words', words],
    ['claim', 'cb', 'place', { area: 'areab', view: 'vb', number }],
    ['claim', 'ca', 'toldPlace', null],
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' }],
    ['exchange', 'x', 'watchedBy', 'lane'],
  );

test('a table has 65536 references, five digits reach 9999 [published: MODBUS Application Protocol V1.1b3, 4.4] [from memory]', () => {
  expect(codesOf(references('reference 6', 65_533))).toEqual([]);
  expect(wordsOf(theFinding(references('reference 6', 65_534), 'POS 11'))).toContain('at number 65537 of 65536');
  expect(codesOf(references('reference 5', 9996))).toEqual([]);
  const hint = theFinding(references('reference 5', 9997), 'POS 11');
  expect(hint.severity).toBe('hint');
  expect(wordsOf(hint)).toContain('ends at number 10000, which five digits cannot express');
});

test('protocol addresses end at 65535', () => {
  const at = (number: number) => edited(references('protocol address', number), ['profile', 'pb', 'views.vb.first', 0]);
  expect(codesOf(at(65_532))).toEqual([]);
  expect(wordsOf(theFinding(at(65_533), 'POS 11'))).toContain('at number 65536 of 65535');
});

test('beyond its area, too: that is the one finding', () => {
  expect(codesOf(references('reference 6', 65_534, 1000))).toEqual(['SIZ 4']);
});

test.each([
  ['place', 'cb', 'b10.16', 'bits are 0 to 15'],
  ['toldPlace', 'ca', 'b10.16', 'bits are 0 to 15'],
])('a bit that is not there, typed as the %s: one finding, with what there is', (field, claim, typed, why) => {
  const project = edited(twoStations(), ['claim', claim, field, field === 'place' ? { typed } : typed]);
  expect(codesOf(project)).toEqual(['POS 11']);
  expect(wordsOf(theFinding(project, 'POS 11'))).toContain(why);
});

test('a bit beyond its element that came in by a file', () => {
  const project = edited(twoStations(), ['claim', 'cb', 'place', { area: 'areab', view: 'vb', number: 200, bit: 40 }]);
  expect(wordsOf(theFinding(project, 'POS 11'))).toContain('bit 40 of B does not exist; bits are 0 to 15');
});
