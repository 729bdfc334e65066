import { codesOf, edited, fixed, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const overBytes = () =>
  edited(
    twoStations(),
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'facts', { name: 'blocks', carries: 'bytes', places: 'free', tcpPort: 9000, unitTold: false }],
    ['claim', 'ca', 'type', { base: 'INT', count: 4 }],
    ['claim', 'cb', 'type', { base: 'INT', count: 4 }],
    ['station', 'sb', 'layout', { byteOrder: 'low first' }],
  );

test('where words travel, byte order is nobody’s concern', () => {
  expect(
    codesOf(
      edited(overBytes(), ['exchange', 'x', 'protocol', 'modbus-tcp'], ['exchange', 'x', 'transfer', 'requests']),
    ),
  ).toEqual([]);
});

test('where bytes travel, an INT arrives exchanged', () => {
  // INT 4660 is 12 34, read as 34 12 it is 13330. [library: Python struct] in data/struct-table.testing.json
  expect(wordsOf(theFinding(overBytes(), 'TYP 3'))).toContain('A INT ×4 of 4660 arrives as 13330');
});

test('a swap of bytes at either end mends it', () => {
  const finding = theFinding(overBytes(), 'TYP 3');
  expect(codesOf(fixed(overBytes(), finding, 0))).toEqual([]);
  expect(codesOf(fixed(overBytes(), finding, 1))).toEqual([]);
});

test('where both ends have one order and one begins within a word, that is said, and no order is blamed', () => {
  const place = { area: 'areab', view: 'vb', number: 401 };
  const { vb } = overBytes().get('profile', 'pb')!.views;
  const odd = edited(
    overBytes(),
    ['station', 'sb', 'layout', {}],
    ['profile', 'pb', 'views', { vb: { ...vb!, unit: 8 } }],
    ['claim', 'cb', 'place', place],
    ['claim', 'ca', 'toldPlace', null],
    ['exchange', 'x', 'facts.carries', 'words'],
  );
  const words = wordsOf(theFinding(odd, 'TYP 3'));
  expect(words).toContain('high byte first at both ends, and the bytes of INT ×4 do not meet');
  expect(words).toContain('b401');
});
