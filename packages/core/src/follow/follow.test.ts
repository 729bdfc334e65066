import { newEnd, newExchange } from '../create/new-entities.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, edited, type FieldEdit } from '../testing/two-stations.testing.js';
import { follow, type Way } from './follow.js';

/**
 * C writes to A at b320 (exchange y, every 100 ms); from there A writes on to B (exchange z, every 250 ms), of which the
 * second of two values begins where C's block does.
 */
function chain(...edits: FieldEdit[]): Project {
  const base = smallPlant();
  const [ca, cb] = [base.get('claim', 'ca')!, base.get('claim', 'cb')!];
  const exchange = added(base, 'exchange', { ...newExchange('z', 60, 'Onwards', 'other'), cadence: 250 });
  const ends = added(exchange, 'end', newEnd('za', 10, 'z', 'sa', 'porta', 'calls'), {
    ...newEnd('zb', 20, 'z', 'sb', 'portb', 'listens'),
    swap: 'words',
  });
  const lane = added(ends, 'lane', {
    id: 'onwards',
    order: 10,
    exchange: 'z',
    items: { k1: { order: 1 }, k2: { order: 2 } },
  });
  const at = (area: string, view: string, number: number) => ({ area, view, number });
  const items = (prefix: string) => ({
    k1: { name: `${prefix}First`, type: { base: 'INT', count: 1 }, offset: { bits: 0 } },
    k2: { name: `${prefix}Second`, type: { base: 'INT', count: 1 }, offset: { bits: 16 } },
  });
  const both = added(
    lane,
    'claim',
    {
      ...ca,
      id: 'cza',
      lane: 'onwards',
      end: 'za',
      direction: 'writes',
      length: { count: 2, unit: 16 },
      type: null,
      place: at('areaa', 'va', 319),
      items: items('A'),
      toldPlace: null,
    },
    {
      ...cb,
      id: 'czb',
      lane: 'onwards',
      end: 'zb',
      direction: 'reads',
      length: { count: 2, unit: 16 },
      type: null,
      place: at('areab', 'vb', 380),
      items: items('B'),
    },
  );
  const scans: FieldEdit[] = ['sa', 'sb', 'sc'].map((id, i) => ['station', id, 'scan', [20, 30, 10][i]!]);
  return edited(both, ...scans, ...edits);
}
const wayOf = (project: Project, claim: string, item: string | null, way: Way) =>
  follow(project, claim, item, way).map((h) => [h.depth, h.station, h.name, h.address]);

test('from its source through the memory of a station to its last sink, in each end’s own notation', () => {
  const project = chain();
  const va = project.get('claim', 'ca3')!.place as { number: number };
  expect(va.number).toBe(320);
  const hops = follow(project, 'cb3', null, 'forward');
  expect(hops.map((h) => [h.depth, h.station])).toEqual(
    expect.arrayContaining([
      [0, 'sc'],
      [1, 'sa'],
      [2, 'sb'],
    ]),
  );
  // Where one value of the next lane lies there, it is that value that goes on.
  expect(hops.filter((h) => h.station === 'sb').map((h) => h.name)).toContain('BSecond');
  expect(hops.find((h) => h.station === 'sb' && h.exchange === 'z')?.swap).not.toBe('');
});

test('back from a sink to its sources, and from the middle in both directions', () => {
  const project = chain();
  expect(wayOf(project, 'czb', 'k2', 'back').map(([, station]) => station)).toContain('sc');
  // The first value of the lane begins in A: nobody put it there.
  const first = edited(project, ['claim', 'cza', 'place.number', 310]);
  expect(wayOf(first, 'czb', 'k1', 'back').map(([, station]) => station)).not.toContain('sc');
  expect(wayOf(project, 'ca3', null, 'forward').map(([, station]) => station)).toContain('sb');
});

test('a bit of a word is followed as that bit, and not as the word around it', () => {
  const bit = (n: number) => ({
    type: { base: 'BOOL', count: 1 },
    offset: { bits: 0, bit: n },
  });
  const bits = (prefix: string) => ({
    k1: { name: `${prefix}First`, ...bit(3) },
    k2: { name: `${prefix}Second`, ...bit(4) },
  });
  // C gives A two bits of one word; A hands them on in one word; B takes both.
  const project = chain(
    ...(['cb3', 'ca3'] as const).map((id): FieldEdit => ['claim', id, 'items', bits(id)]),
    ['claim', 'cza', 'place.number', 320],
    ['claim', 'cza', 'items', bits('A')],
    ['claim', 'czb', 'items', bits('B')],
  );
  const lane = project.get('claim', 'cb3')!.lane;
  const items = edited(project, ['lane', lane, 'items', { k1: { order: 1 }, k2: { order: 2 } }]);
  expect(follow(items, 'cb3', 'k1', 'forward').map((h) => h.name)).toEqual([
    'cb3First',
    'ca3First',
    'AFirst',
    'BFirst',
  ]);
  expect(
    follow(items, 'cb3', 'k2', 'forward')
      .map((h) => h.name)
      .at(-1),
  ).toBe('BSecond');
  expect(follow(items, 'czb', 'k1', 'back').map((h) => h.name)).toEqual(['BFirst', 'AFirst', 'ca3First', 'cb3First']);
});

test('the age at the sink: source scan, each lane’s interval, and the scans on the way [common practice]', () => {
  const last = (project: Project) =>
    follow(project, 'cb3', null, 'forward').find((h) => h.exchange === 'z' && h.station === 'sb')!;
  // 10 (C) + 100 + 20 (A) + 250 + 30 (B)
  expect(last(chain()).age).toMatchObject({ ms: 410, unknown: [] });
  const unknown = last(chain(['exchange', 'z', 'cadence', null])).age;
  expect(unknown).toMatchObject({ ms: 160, unknown: ['interval of Onwards'] });
});

test('a loop is walked once; what nobody takes ends at once', () => {
  const loop = chain(['claim', 'czb', 'place', { area: 'areab', view: 'vb', number: 20 }]);
  expect(follow(loop, 'cb3', null, 'forward').length).toBeLessThan(20);
  expect(follow(smallPlant(), 'cb', null, 'forward')).toHaveLength(1);
  expect(follow(smallPlant(), 'nobody', null, 'forward')).toEqual([]);
});
