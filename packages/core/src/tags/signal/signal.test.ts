import { panelElementsFor } from './panel-elements.js';
import { polarityTable } from './polarity.js';
import { isUsualTable, signalOf, SIGNALS_OF_TABLE, TABLE_OF_SIGNAL } from './table-for-signal.js';

// Discrete in → discrete inputs; discrete out → coils; analogue or counter in → input registers; analogue out → holding
// registers. [common practice]
test.each([
  ['discrete in', 'discrete inputs'],
  ['discrete out', 'coils'],
  ['analogue in', 'input registers'],
  ['counter in', 'input registers'],
  ['analogue out', 'holding registers'],
] as const)('%s stands in %s, and back', (kind, table) => {
  expect(TABLE_OF_SIGNAL[kind]).toBe(table);
  expect(SIGNALS_OF_TABLE[table]).toContain(kind);
  expect(isUsualTable(kind, table)).toBe(true);
  expect(isUsualTable(kind, 'holding registers')).toBe(true);
});

test('an output in the table of inputs is unusual, an input among coils, too', () => {
  expect(isUsualTable('discrete out', 'discrete inputs')).toBe(false);
  expect(isUsualTable('discrete in', 'coils')).toBe(false);
  expect(isUsualTable('analogue out', 'input registers')).toBe(false);
});

test('the kind of a signal follows from type and access where nobody said it', () => {
  const type = (base: string) => ({ base, count: 1 });
  expect(signalOf({ type: type('BOOL'), access: 'read' })).toBe('discrete in');
  expect(signalOf({ type: type('BOOL'), access: 'read and set' })).toBe('discrete out');
  expect(signalOf({ type: type('REAL'), access: 'read' })).toBe('analogue in');
  expect(signalOf({ type: type('INT'), access: 'read and set' })).toBe('analogue out');
  expect(signalOf({ type: type('INT'), access: 'read', signal: 'counter in' })).toBe('counter in');
  expect(signalOf({ type: null, access: 'read' })).toBeNull();
});

test('what one only looks at is shown, what one may set has an entry; the most usual first', () => {
  const of = (base: string, access: 'read' | 'read and set') => panelElementsFor({ type: { base, count: 1 }, access });
  expect(of('BOOL', 'read')).toEqual(['lamp']);
  expect(of('BOOL', 'read and set')[0]).toBe('push button');
  expect(of('REAL', 'read')).toEqual(['number shown', 'bar']);
  expect(of('REAL', 'read and set')[0]).toBe('number entry');
  expect(of('STRING', 'read')).toEqual(['text shown']);
  expect(panelElementsFor({ type: null, access: 'read' })).toEqual([]);
});

// A contact closed at rest gives 1 as long as nothing happens. [common practice]
test('a contact closed at rest: 1 at rest, 0 when it acts; the logic turns it over', () => {
  const table = polarityTable('true at rest', 'true at rest', 'true at rest');
  expect(table.steps.map((s) => [s.where, s.atRest, s.active])).toEqual([
    ['plant', true, false],
    ['simulator', true, false],
    ['controller input', true, false],
    ['logic', false, true],
  ]);
  expect(table).toMatchObject({ rightInTrial: true, rightInPlant: true, twice: false });
});

test('every combination: turned over once is wrong in the trial or in the plant; turned over twice passes the trial only', () => {
  const [open, closed] = ['true when active', 'true at rest'] as const;
  const of = (...args: Parameters<typeof polarityTable>) => {
    const { rightInTrial, rightInPlant, twice } = polarityTable(...args);
    return [rightInTrial, rightInPlant, twice];
  };
  expect(of(open, open, open)).toEqual([true, true, false]);
  expect(of(closed, open, open)).toEqual([true, false, true]);
  expect(of(open, closed, closed)).toEqual([true, false, true]);
  expect(of(open, closed, open)).toEqual([false, true, false]);
  expect(of(open, open, closed)).toEqual([false, false, false]);
});
