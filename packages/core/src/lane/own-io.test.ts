import { newArea, newStation, newView, writersOf } from '../create/new-entities.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import {
  added,
  applied,
  codesOf,
  edited,
  theFinding,
  twoStations,
  wordsOf,
  type FieldEdit,
} from '../testing/two-stations.testing.js';
import { mirrorLanes } from '../sheet/mirror.js';
import { editField } from '../fields/field.js';
import { AREA } from '../fields/area.js';
import { typing } from '../testing/typing.testing.js';

/** Both have an input and an output image; the far side's lane is not there yet. */
function coupled(...edits: FieldEdit[]): Project {
  const image = (id: string, station: string, kind: 'input image' | 'output image', order: number) => ({
    ...newArea(id, order, station, kind),
    kind,
    words: 100,
    views: { v: { ...newView(10, 'iec bytes'), prefix: kind === 'input image' ? 'I' : 'Q' } },
  });
  const areas = added(
    twoStations(),
    'area',
    image('ia', 'sa', 'input image', 1),
    image('oa', 'sa', 'output image', 2),
    image('ib', 'sb', 'input image', 1),
    image('ob', 'sb', 'output image', 2),
  );
  const project = added(areas, 'station', { ...newStation('q', 90, 'Coupler'), roles: ['coupler'] });
  return edited(
    project,
    ['exchange', 'x', 'kind', 'coupler area'],
    ['exchange', 'x', 'via', 'q'],
    ['exchange', 'x', 'protocol', 'cyclic-ethernet-io'],
    ['exchange', 'x', 'transfer', 'cyclic blocks'],
    ['claim', 'ca', 'toldPlace', null],
    ['claim', 'ca', 'place', { area: 'oa', view: 'v', number: 4 }],
    ['claim', 'cb', 'place', { area: 'ib', view: 'v', number: 4 }],
    ...edits,
  );
}
const dir2 = (project: Project) => codesOf(project).filter((code) => code === 'DIR 2');

test('through a coupler what is sent comes from an output image, and what arrives lands in an input image', () => {
  expect(dir2(coupled())).toEqual([]);
  const sent = coupled(['claim', 'ca', 'place', { area: 'ia', view: 'v', number: 4 }]);
  expect(wordsOf(theFinding(sent, 'DIR 2'))).toContain('A writes %IB4–%IB11 in its input image');
  const taken = coupled(['claim', 'cb', 'place', { area: 'ob', view: 'v', number: 4 }]);
  expect(wordsOf(theFinding(taken, 'DIR 2'))).toContain('B reads %QB4–%QB11 in its output image');
  // Any other memory may be copied from and to.
  expect(dir2(coupled(['claim', 'cb', 'place', { area: 'areab', view: 'vb', number: 4 }]))).toEqual([]);
});

test('a request that sends a copy of physical inputs elsewhere is legal', () => {
  const plain: FieldEdit[] = [
    ['exchange', 'x', 'kind', 'peer connection'],
    ['exchange', 'x', 'protocol', 'modbus-tcp'],
    ['exchange', 'x', 'transfer', 'requests'],
  ];
  expect(dir2(coupled(...plain, ['claim', 'ca', 'place', { area: 'ia', view: 'v', number: 4 }]))).toEqual([]);
});

test('Mirror takes the image of its direction: inputs for what arrives, outputs for what is sent', () => {
  let n = 0;
  const mirrored = (direction: 'writes' | 'reads') => {
    const base = coupled(['claim', 'ca', 'direction', direction]);
    const dropped = applied(base, {
      id: 'd',
      label: '',
      changes: [{ kind: 'claim', id: 'cb', path: [], before: base.get('claim', 'cb') as never }],
    });
    const [from, to] = childrenOf(dropped, 'end', 'x');
    const made = mirrorLanes(dropped, dropped.get('exchange', 'x')!, from!, to!, () => `m${n++}`);
    return applied(dropped, { id: 'm', label: '', changes: made.changes });
  };
  const place = (project: Project) =>
    childrenOf(project, 'claim', 'lane').find((c) => c.end === 'eb')!.place as { area: string };
  expect(place(mirrored('writes')).area).toBe('ib');
  expect(place(mirrored('reads')).area).toBe('ob');
  expect(dir2(mirrored('reads'))).toEqual(['DIR 2']); // A itself takes what arrives into its output image.
});

test('the memory of a gateway has no writer of its own; that of a controller has its program', () => {
  expect(writersOf({ roles: ['gateway'] })).toEqual([]);
  expect(writersOf({ roles: ['coupler', 'gateway'] })).toEqual([]);
  expect(writersOf({ roles: ['controller', 'gateway'] })).toEqual(['program']);
  const area = newArea('a', 1, 's', 'Memory');
  const { changes } = editField(AREA, 'kind', area, 'gateway memory', typing());
  expect(changes.map(({ path, after }) => [path, after])).toEqual([
    [['kind'], 'gateway memory'],
    [['writers'], []],
  ]);
});

test('a window that begins inside a word is told where another side of that memory counts words', () => {
  const view = (id: string, unit: 8 | 16) => ({ [id]: { ...newView(unit, 'prefix and number'), unit, prefix: id } });
  const base = edited(
    twoStations(),
    ['area', 'areab', 'kind', 'gateway memory'],
    ['area', 'areab', 'writers', []],
    ['area', 'areab', 'views', { ...view('byte', 8), ...view('word', 16) }],
    ['claim', 'ca', 'toldPlace', 'byte41'],
    ['claim', 'cb', 'place', { area: 'areab', view: 'byte', number: 41 }],
  );
  const lane = added(base, 'lane', { id: 'other', order: 20, exchange: 'x', items: {} });
  const words = added(lane, 'claim', {
    ...base.get('claim', 'cb')!,
    id: 'cw',
    lane: 'other',
    name: 'Words',
    place: { area: 'areab', view: 'word', number: 300 },
  });
  expect(codesOf(base)).not.toContain('SIZ 8');
  const finding = theFinding(words, 'SIZ 8');
  expect([finding.severity, wordsOf(finding)]).toEqual(['doubt', expect.stringContaining('Words counts words there')]);
  expect(codesOf(edited(words, ['claim', 'cb', 'place.number', 42]))).not.toContain('SIZ 8');
});
