import type { FieldEdit } from '../../../testing/two-stations.testing.js';
import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import { added, codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

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

test('a reference into a table of inputs cannot be written, whether the other end has described that table or not', () => {
  const codes = (text: string) => codesOf(edited(table('holding registers'), ['claim', 'ca', 'toldPlace', text]));
  // [common practice] 1 and 3 before the number stand for discrete inputs and input registers.
  for (const text of ['1:4', '10004', '3 12', '300012']) expect([text, codes(text)]).toEqual([text, ['DIR 2']]);
  expect(codes('0:4')).toEqual(['POS 12']);
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
    ['exchange', 'x', 'onLoss', { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' }],
    ['exchange', 'x', 'watchedBy', 'lane'],
  );
  expect(codesOf(project)).toEqual(['DIR 2']);
  expect(wordsOf(theFinding(project, 'DIR 2'))).toContain('set to be read only');
});

test('of one cause there is one finding, with the cells of all its lanes', () => {
  const lanes = ['l2', 'l3'].reduce((project, id) => {
    const lane = added(project, 'lane', { id, order: 20, exchange: 'x', items: {} });
    const place = { area: 'areab', view: 'vb', number: id === 'l2' ? 300 : 400 };
    return added(
      lane,
      'claim',
      { ...lane.get('claim', 'ca')!, id: `a${id}`, lane: id, toldPlace: `300${place.number}`, name: id },
      { ...lane.get('claim', 'cb')!, id: `b${id}`, lane: id, place },
    );
  }, table('input registers'));
  const finding = theFinding(lanes, 'DIR 2');
  expect(finding.lanes).toEqual(['lane', 'l2', 'l3']);
  expect(finding.cells.map((cell) => cell.id)).toEqual(['ca', 'al2', 'al3']);
});

test('a tag for reading only is no entry field, and is not set by others', () => {
  const tagged = (end: 'ca3' | 'cb3', direction: string): FieldEdit[] => [
    ['tag', 'tag1', 'access', 'read'],
    ['tag', 'tag1', 'station', end === 'ca3' ? 'sa' : 'sc'],
    ['claim', end, 'place', { area: 'tag1', view: 'tag', number: 0 }],
    ['claim', end, 'direction', direction],
  ];
  expect(words('DIR 2', ...tagged('ca3', 'writes'), ['claim', 'cb3', 'direction', 'reads'])).toContain('A sets by it');
  expect(words('DIR 2', ...tagged('cb3', 'reads'), ['claim', 'ca3', 'direction', 'writes'])).toContain('others set it');
  expect(mended('DIR 2', ...tagged('ca3', 'writes'), ['claim', 'cb3', 'direction', 'reads'])).toEqual([]);
  // An indicator reads, and its tag may well be for reading only.
  expect(codesOf(plant(...tagged('ca3', 'reads')))).toEqual([]);
});
