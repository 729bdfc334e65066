import { newEnd, newExchange } from '../../../create/new-entities.js';
import type { Project } from '../../../model/project.js';
import { added, codesOf, edited, theFinding, twoStations, wordsOf } from '../../../testing/two-stations.testing.js';

/** A second exchange between the two, of which a lane reads into B at the number given. */
function second(number: number): Project {
  const first = twoStations();
  const exchange = added(first, 'exchange', newExchange('y', 20, 'Second', 'modbus-tcp'));
  const ends = added(
    exchange,
    'end',
    { ...newEnd('ya', 10, 'y', 'sa', 'porta', 'calls'), told: { yb: { address: '10.0.0.2', tcpPort: '', unit: '' } } },
    newEnd('yb', 20, 'y', 'sb', 'portb', 'listens'),
  );
  const lane = added(ends, 'lane', { id: 'lane2', order: 20, exchange: 'y', items: {} });
  const at = (area: string, view: string, n: number) => ({ area, view, number: n });
  return added(
    lane,
    'claim',
    {
      ...first.get('claim', 'ca')!,
      id: 'ca2',
      lane: 'lane2',
      end: 'ya',
      place: at('areaa', 'va', 300),
      toldPlace: `b${number}`,
    },
    { ...first.get('claim', 'cb')!, id: 'cb2', lane: 'lane2', end: 'yb', place: at('areab', 'vb', number) },
  );
}

test('blocks side by side are silent', () => {
  expect(codesOf(second(204))).toEqual([]);
});

test('one shared word is found once, a Doubt on request', () => {
  const finding = theFinding(second(203), 'POS 2');
  expect(finding.severity).toBe('doubt');
  expect(wordsOf(finding)).toContain('both put data into b203');
});

test('a Blocker where one of them is cyclic', () => {
  expect(theFinding(edited(second(203), ['exchange', 'x', 'cadence', 100]), 'POS 2').severity).toBe('blocker');
});

test('two that only take data out may overlap', () => {
  expect(codesOf(edited(second(204), ['claim', 'ca2', 'place.number', 100]))).toEqual([]);
});

test('the device’s own keys, page or start values count as a writer, until somebody has the last word', () => {
  const writers = (...own: string[]) => edited(second(204), ['area', 'areab', 'writers', ['program', ...own]]);
  expect(codesOf(writers())).toEqual([]);
  expect(wordsOf(theFinding(writers('keys'), 'POS 2'))).toContain('is written by its own keys, and by Exchange, Block');
  expect(theFinding(writers('start values'), 'POS 2').severity).toBe('doubt');
  expect(codesOf(edited(writers('keys'), ['area', 'areab', 'lastWord', 'the panel']))).toEqual([]);
});

test('two bits of one register have two writers: each writes the whole word [common practice]', () => {
  const bit = (claim: string, n: number): Parameters<typeof edited>[1][] => [
    ['claim', claim, 'place', { area: 'areab', view: 'vb', number: 300, bit: n }],
    ['claim', claim, 'length', { count: 1, unit: 1 }],
    ['claim', claim, 'type', { base: 'BOOL', count: 1 }],
  ];
  const words = wordsOf(theFinding(edited(second(204), ...bit('cb', 3), ...bit('cb2', 5)), 'POS 2'));
  expect(words).toContain('puts data into b300.3, and writes all bits of that word');
  expect(words).toContain('puts data into b300.5, and writes all bits of that word');
});

test('where tags have no address, the last word is asked for at the tags that a panel sets, once', () => {
  const tag = { id: 'lit', order: 10, station: 'sb', name: 'Lit', type: null, place: null };
  const project = edited(
    added(twoStations(), 'tag', tag),
    ['station', 'sa', 'roles', ['operator panel']],
    ['exchange', 'x', 'kind', 'tag map'],
    ['claim', 'ca', 'trigger', 'on change'],
    ['claim', 'cb', 'place', { area: 'lit', view: 'tag', number: 0 }],
  );
  const finding = theFinding(project, 'POS 2');
  expect([finding.message, finding.severity, finding.cells[0]]).toEqual([
    ...['byName', 'doubt'],
    { kind: 'tag', id: 'lit', path: ['lastWord'] },
  ]);
  expect(wordsOf(finding)).toContain('Lit of B: its program writes there, and Exchange sets values');
  expect(codesOf(edited(project, ['tag', 'lit', 'lastWord', 'the panel']))).not.toContain('POS 2');
  expect(codesOf(edited(project, ['station', 'sa', 'roles', ['simulator']]))).not.toContain('POS 2');
});

test('a memory that its program writes and a panel sets values in asks once who has the last word', () => {
  const project = edited(
    twoStations(),
    ['station', 'sa', 'roles', ['operator panel']],
    ['exchange', 'x', 'kind', 'tag map'],
    ['claim', 'ca', 'trigger', 'on change'],
  );
  const finding = theFinding(project, 'POS 2');
  expect([finding.message, finding.severity]).toEqual(['entered', 'doubt']);
  expect(wordsOf(finding)).toContain('Memory of B is written by its program, and Exchange sets values there');
  expect(codesOf(edited(project, ['area', 'areab', 'lastWord', 'A']))).not.toContain('POS 2');
  expect(codesOf(edited(project, ['area', 'areab', 'writers', ['firmware']]))).not.toContain('POS 2');
});
