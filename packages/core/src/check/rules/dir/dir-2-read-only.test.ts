import { codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

const table = (name: string) =>
  edited(
    twoStations(),
    [
      'profile',
      'pb',
      'views.vb',
      { order: 10, name: 'references', areaKind: 'memory', notation: 'reference 6', table: name, unit: 16, first: 1 },
    ],
    ['claim', 'ca', 'toldPlace', name === 'input registers' ? '300200' : '400200'],
  );

test('holding registers can be written, input registers only read [published: MODBUS Application Protocol V1.1b3, 4.3] [from memory]', () => {
  expect(codesOf(table('holding registers'))).toEqual([]);
  const finding = theFinding(table('input registers'), 'DIR 2');
  expect(finding.severity).toBe('blocker');
  expect(wordsOf(finding)).toContain('A writes to 300200 of B, which others can only read');
  expect(wordsOf(finding)).toContain('one of the input registers');
});

test('reading from input registers is silent', () => {
  const project = edited(
    table('input registers'),
    ['claim', 'ca', 'direction', 'reads'],
    ['claim', 'cb', 'direction', 'writes'],
  );
  expect(codesOf(project)).toEqual([]);
});

test('a view set to be read only holds for cyclic blocks, too', () => {
  const project = edited(
    twoStations(),
    ['profile', 'pb', 'views.vb.access', 'read'],
    ['exchange', 'x', 'protocol', 'other'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero' }],
  );
  expect(codesOf(project)).toEqual(['DIR 2']);
  expect(wordsOf(theFinding(project, 'DIR 2'))).toContain('set to be read only');
});
