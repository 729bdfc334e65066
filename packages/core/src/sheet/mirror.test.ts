import { codesOf, applied, added, edited, twoStations, without } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { mirrorLanes } from './mirror.js';

let n = 0;
const mirror = (project: Project, from: string, to: string) =>
  mirrorLanes(
    project,
    project.get('exchange', 'x')!,
    project.get('end', from)!,
    project.get('end', to)!,
    () => `m${++n}`,
  );
const after = (project: Project, from: string, to: string) =>
  applied(project, { id: 'm', label: '', changes: mirror(project, from, to).changes });

test('what one end has filled in is made for the other, and agrees: at the place that it was told', () => {
  const half = without(twoStations(), 'claim', 'cb');
  const made = mirror(half, 'ea', 'eb');
  expect(made.rows).toEqual([{ name: 'Block ca', direction: 'reads', address: 'b200', told: true }]);
  const whole = after(half, 'ea', 'eb');
  expect(codesOf(whole)).toEqual([]);
  const claim = [...whole.all('claim')].find((c) => c.end === 'eb')!;
  expect(claim).toMatchObject({ direction: 'reads', length: { count: 4, unit: 16 }, swap: null, toldPlace: null });
});

test('without a told place it is the next free, and the caller is told it', () => {
  const half = edited(without(twoStations(), 'claim', 'cb'), ['claim', 'ca', 'toldPlace', null]);
  expect(mirror(half, 'ea', 'eb').rows).toMatchObject([{ address: 'b0', told: false }]);
  const whole = after(half, 'ea', 'eb');
  expect(whole.get('claim', 'ca')!.toldPlace).toBe('b0');
  expect(codesOf(whole)).toEqual([]);
});

test('mirrored to the end that calls, it names the place here; lanes follow one another without overlap', () => {
  const base = without(twoStations(), 'claim', 'ca');
  const known = base.get('claim', 'cb')!;
  const two = added(added(base, 'lane', { id: 'lane2', order: 20, exchange: 'x', items: {} }), 'claim', {
    ...known,
    id: 'cb2',
    lane: 'lane2',
    direction: 'writes',
    place: { area: 'areab', view: 'vb', number: 300 },
  });
  const whole = after(two, 'eb', 'ea');
  const made = [...whole.all('claim')].filter((c) => c.end === 'ea').sort((a, b) => (a.lane < b.lane ? -1 : 1));
  expect(made.map((c) => [c.direction, c.toldPlace, (c.place as { number: number }).number])).toEqual([
    ['writes', 'b200', 0],
    ['reads', 'b300', 4],
  ]);
  expect(codesOf(whole)).toEqual([]);
});

test('what both ends have stays; what cannot be mirrored is named with its reason', () => {
  const whole = twoStations();
  expect(mirror(whole, 'ea', 'eb')).toMatchObject({ changes: [], rows: [], known: 1 });
  const half = without(whole, 'claim', 'cb');
  expect(mirror(edited(half, ['claim', 'ca', 'length', null]), 'ea', 'eb').left).toMatchObject([
    { name: 'Block ca', reason: expect.stringContaining('how long it is') },
  ]);
  expect(mirror(edited(half, ['claim', 'ca', 'toldPlace', '%MW7']), 'ea', 'eb').left[0]!.reason).toContain('“%MW7”');
  const full = edited(half, ['claim', 'ca', 'toldPlace', null], ['area', 'areab', 'words', 2]);
  expect(mirror(full, 'ea', 'eb')).toMatchObject({
    changes: [],
    left: [{ reason: expect.stringContaining('has room') }],
  });
});
