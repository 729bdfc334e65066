import { childrenOf } from '../model/order.js';
import { applied, twoStations } from '../testing/two-stations.testing.js';
import { readSample, seriesBySample } from './series-by-sample.js';

let ids = 0;
const newId = () => `n${++ids}`;

test('a sample is a name with a number, a sign and a count; with a type and an address behind it', () => {
  expect(readSample('Door_01 × 20')).toEqual({ name: 'Door_01', count: 20, rest: [] });
  expect(readSample('Door_01×20, BOOL')).toEqual({ name: 'Door_01', count: 20, rest: ['BOOL'] });
  expect(readSample('Level 1 x 8; REAL; a100')).toEqual({ name: 'Level 1', count: 8, rest: ['REAL', 'a100'] });
  expect(readSample('Level_1 * 3\tINT')).toEqual({ name: 'Level_1', count: 3, rest: ['INT'] });
});

test('a name is a name, whatever letters it has', () => {
  for (const name of ['Door_01', 'Mixer x', 'Box 2x4', 'Tank × 3', 'Fan_1 × many', 'Fan_1 × 0', '× 3', '']) {
    expect(readSample(name)).toBeNull();
  }
});

test('samples become tags with names that count on, types, and addresses that follow', () => {
  const project = twoStations();
  const samples = ['Level_08 × 4, REAL, a100', 'Door_1 × 2, BOOL'].map((text) => readSample(text)!);
  const { changes, made, problems } = seriesBySample(project, 'sa', samples, newId);
  expect([made, problems]).toEqual([6, []]);
  const after = applied(project, { id: 'series', label: '', changes });
  const tags = childrenOf(after, 'tag', 'sa').map(({ name, type, place }) => [name, type, place && { ...place }]);
  expect(tags.map(([name]) => name)).toEqual(['Level_08', 'Level_09', 'Level_10', 'Level_11', 'Door_1', 'Door_2']);
  expect(childrenOf(after, 'tag', 'sa').slice(0, 2)).toMatchObject([
    { type: { base: 'REAL' }, place: { number: 100 } },
    { type: { base: 'REAL' }, place: { number: 102 } },
  ]);
  expect(childrenOf(after, 'series', 'sa')).toHaveLength(2);
});

test('names that other tags have are left out, and what is no type and no address is said', () => {
  const first = seriesBySample(twoStations(), 'sa', [readSample('Door_1 × 2, BOOL')!], newId);
  const project = applied(twoStations(), { id: 'first', label: '', changes: first.changes });
  const { made, problems } = seriesBySample(project, 'sa', [readSample('Door_2 × 2, nonsense §')!], newId);
  expect(made).toBe(1);
  expect(problems).toHaveLength(2);
  expect(problems[0]).toContain('nonsense §');
  expect(problems[1]).toBe('Door_2: 1 of its names are taken by other tags and left out');
});
