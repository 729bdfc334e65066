import { CheckEngine } from '../check/engine.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { find } from './find.js';

const project = edited(
  smallPlant(),
  ['claim', 'ca2', 'items.k2.name', 'SuctionPressure'],
  ['claim', 'cb', 'length.count', 5],
);
const engine = new CheckEngine(project);
const hits = (query: string) =>
  find({ project, findings: engine.findings.values(), usesIn: (area) => engine.usesIn(area) }, query);

test('a value is found by any of its words, with its end, exchange and lane', () => {
  for (const query of ['suction', 'pressure', 'PRESS']) {
    expect(hits(query)[0]).toMatchObject({
      kind: 'value',
      text: 'SuctionPressure',
      detail: 'A, Exchange, Block ca',
      cell: { kind: 'claim', id: 'ca2', path: ['items', 'k2', 'name'] },
    });
  }
});

test('an address in the station’s own notation names who uses it, and the value that lies there', () => {
  expect(hits('b301')).toMatchObject([
    { kind: 'address', text: 'B, b301', detail: 'read by Exchange: R2 of Block cb, b300–b307' },
    { kind: 'address', text: 'b301' },
  ]);
  expect(hits('a100')[0]!.detail).toBe('read by Exchange: Block ca, a100–a103');
  expect(hits('b201')[0]!.detail).toBe('written by Exchange: Block cb, b200–b204');
});

test('an address that nobody uses is said to be free; one outside the area is none', () => {
  expect(hits('a900')[0]!.detail).toBe('A, Memory: no exchange uses it');
  expect(hits('a5000')).toEqual([]);
});

test('stations by name and by IP address, exchanges, findings by code and words', () => {
  expect(hits('10.0.0.2')[0]).toMatchObject({ kind: 'station', detail: 'B, Ethernet' });
  expect(hits('second')[0]).toMatchObject({ kind: 'exchange', text: 'Second' });
  expect(hits('SIZ 1')[0]).toMatchObject({ kind: 'finding', cell: { id: 'ca', path: ['length'] } });
  expect(hits('Net')[0]).toMatchObject({ kind: 'network' });
  expect(hits('   ')).toEqual([]);
});

test('what was renamed is found by its new name only', () => {
  const renamed = edited(project, ['station', 'sc', 'name', 'Harbour']);
  const after = new CheckEngine(renamed);
  const found = find({ project: renamed, findings: [], usesIn: (area) => after.usesIn(area) }, 'harb');
  expect(found.map((h) => h.text)).toEqual(['Harbour']);
});

test('a tag by its name and by its alias, with its station and type', () => {
  const named = edited(project, ['tag', 'tag1', 'alias', 'Level of the brine']);
  const after = new CheckEngine(named);
  const found = (query: string) => find({ project: named, findings: [], usesIn: (area) => after.usesIn(area) }, query);
  expect(found('duty')[0]).toMatchObject({ kind: 'tag', text: 'Duty', detail: 'A, REAL ×2' });
  expect(found('brine')[0]).toMatchObject({ kind: 'tag', cell: { kind: 'tag', id: 'tag1', path: ['alias'] } });
});
