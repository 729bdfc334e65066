import { mended, plant, words } from '../../../testing/edited-plant.testing.js';
import { added, codesOf, fixed, theFinding, wordsOf, type FieldEdit } from '../../../testing/two-stations.testing.js';

test('TIM 4: a network above the level that the project sets', () => {
  // 8 bytes every 2 ms, 84 bytes on the wire: 336 kbit/s of 1 Mbit/s.
  const full: FieldEdit[] = [
    ['exchange', 'y', 'cadence', 2],
    ['network', 'net', 'linkRate', 1],
    ['project', 'project', 'loadLevel', 30],
  ];
  expect(words('TIM 4', ...full)).toContain('34 % of its rate is taken, and 30 % is the level to ask at');
  // What is assumed where nobody says anything is 40 %.
  expect(codesOf(plant(...full.slice(0, 2), ['project', 'project', 'loadLevel', null]))).toEqual([]);
});

const SCANS: FieldEdit[] = [
  ['station', 'sa', 'scan', 20],
  ['station', 'sc', 'scan', 10],
];

test('TIM 5: the age of a value at its sink, with its terms: 10 + 100 + 20 ms by hand', () => {
  expect(codesOf(plant(...SCANS, ['lane', 'lane3', 'mostAge', 130]))).toEqual([]);
  const found = words('TIM 5', ...SCANS, ['lane', 'lane3', 'mostAge', 129]);
  expect(found).toContain('up to 130 ms old at A, and 129 ms is allowed');
  expect(found).toContain('interval of Second 100 ms');
});

test('TIM 6: a signal not longer than the slowest look can be missed', () => {
  expect(codesOf(plant(...SCANS, ['lane', 'lane3', 'shortest', 101]))).toEqual([]);
  expect(words('TIM 6', ...SCANS, ['lane', 'lane3', 'shortest', 100])).toContain('Second looks every 100 ms');
});

test('TIM 7: an idle connection is not closed between two requests', () => {
  const closed: FieldEdit = ['exchange', 'y', 'inactivity', 100];
  expect(words('TIM 7', closed)).toContain('inactivity time 100 ms, and a request comes every 100 ms');
  expect(mended('TIM 7', closed)).toEqual([]);
  expect(codesOf(plant(['exchange', 'y', 'keepAlive', 101]))).toEqual([]);
});

test('TIM 8: cyclic Ethernet I/O has an interval of 1 ms and every power of two of it up to 512 [published: IEC 61158-6-10, send clock and reduction ratio] [from memory]', () => {
  const io: FieldEdit[] = [
    ['exchange', 'y', 'protocol', 'cyclic-ethernet-io'],
    ['port', 'portc', 'deviceName', 'c'],
    ['end', 'ya', 'told.yc.name', 'c'],
    ['exchange', 'y', 'timeout', 5000],
  ];
  const steps = (ms: number) => codesOf(plant(...io, ['exchange', 'y', 'cadence', ms])).filter((c) => c === 'TIM 8');
  expect([1, 2, 4, 8, 16, 32, 64, 128, 256, 512].flatMap(steps)).toEqual([]);
  expect([3, 20, 100, 1024].flatMap(steps)).toHaveLength(4);
  expect(words('TIM 8', ...io, ['exchange', 'y', 'cadence', 20])).toContain('Set the interval to 16 ms');
});

test('TIM 9: on change only is not there again after a return; on demand has no known age', () => {
  const change: FieldEdit = ['claim', 'cb3', 'trigger', 'on change'];
  expect(words('TIM 9', change)).toContain('Second: C writes');
  // What a person enters at a panel is not to be made a second time.
  expect(codesOf(plant(change, ['station', 'sc', 'roles', ['operator panel']]))).not.toContain('TIM 9');
  expect(mended('TIM 9', change)).toEqual([]);
  const decided = { sinks: 'go to zero', source: 'is told by a status', back: 'wait for a release' };
  const loss = { ...decided, notRepeated: 'it is sent with every restart' };
  expect(codesOf(plant(change, ['exchange', 'y', 'onLoss', loss]))).toEqual([]);
  const demand: FieldEdit[] = [
    ['claim', 'ca3', 'trigger', 'on demand'],
    ['exchange', 'y', 'cadence', null],
  ];
  expect(words('TIM 9', ...demand)).toContain('how old that is, is not known');
  const more = ['q1', 'q2', 'q3', 'q4'];
  const many = more.reduce((project, id) => {
    const lane = added(project, 'lane', { id, order: 20, exchange: 'y', items: {} });
    return added(lane, 'claim', {
      ...lane.get('claim', 'cb3')!,
      id: `c${id}`,
      lane: id,
      name: id,
      trigger: 'on change',
    });
  }, plant(change));
  const finding = theFinding(many, 'TIM 9');
  expect(wordsOf(finding)).toContain('q1, q2 and 2 more');
  expect(codesOf(fixed(many, finding))).not.toContain('TIM 9');
});
