import type { Area } from '../model/area.js';
import type { Project } from '../model/project.js';
import { edited, twoStations, type FieldEdit } from '../testing/two-stations.testing.js';
import { Plant } from './plant.js';

const part = (rest: object) => ({
  order: 10,
  name: 'Part',
  offset: 0,
  bits: 64,
  use: 'settings',
  access: 'read and set',
  ...rest,
});
const block = (start: number, member: object) => ({
  order: 10,
  start,
  length: 160,
  owner: 'its module',
  members: { m: part(member) },
});

/** A whose memory has a block at word 10 that start values write, and one at word 20 that its firmware keeps. */
const withBlocks = (...edits: FieldEdit[]): Project =>
  edited(
    twoStations(),
    [
      'area',
      'areaa',
      'reservations',
      {
        start: block(160, { atStart: true, content: '10.8.2.40' }),
        firmware: block(320, { access: 'read', use: 'status', content: '16#12 34' }),
      } satisfies Record<string, object> as Area['reservations'],
    ],
    ...edits,
  );

/** A word of A as a number. */
function word(plant: Plant, at: number): number {
  const bits = plant.memory.of('areaa').subarray(at * 16, at * 16 + 16);
  return bits.reduce((all, bit, i) => all | (bit << i), 0);
}

// [common practice] an address stands as its four bytes; in a word the first byte is the high one, or the low one.
test.each([
  ['high first', [0x0a08, 0x0228]],
  ['low first', [0x080a, 0x2802]],
])('start values stand there from the begin, %s in a word', (byteOrder, words) => {
  const plant = new Plant(withBlocks(['profile', 'pa', 'layout', { byteOrder }]));
  expect([word(plant, 10), word(plant, 11)]).toEqual(words);
});

test('start values are written at a start and not in between; what the firmware keeps comes back by itself', () => {
  const plant = new Plant(withBlocks());
  const before = [word(plant, 10), word(plant, 20)];
  plant.memory.of('areaa').fill(0);
  plant.advance(1_000_000);
  expect([word(plant, 10), word(plant, 20)]).toEqual([0, before[1]]);
  plant.stop('sa');
  plant.memory.of('areaa').fill(0);
  plant.advance(1_000_000);
  expect(word(plant, 20)).toBe(0);
  plant.start('sa');
  expect(word(plant, 10)).toBe(before[0]);
  plant.advance(1_000_000);
  expect(word(plant, 20)).toBe(before[1]);
});

test.each([
  ['a controller waits to be started', [], true],
  ['a type that goes on by itself', [['profile', 'pa', 'afterLoad', { does: 'starts by itself', source: 's' }]], false],
  ['a type that runs on', [['profile', 'pa', 'afterLoad', { does: 'runs on', source: 's' }]], false],
  ['any other role goes on by itself', [['station', 'sa', 'roles', ['gateway']]], false],
] as [string, FieldEdit[], boolean][])('after a load %s', (_, edits, stands) => {
  const plant = new Plant(withBlocks(['station', 'sa', 'roles', ['controller']], ...edits));
  plant.memory.of('areaa').fill(0);
  plant.load('sa');
  expect(plant.isStopped('sa')).toBe(stands);
  const runsOn = edits.some(([, , , value]) => (value as { does?: string }).does === 'runs on');
  expect(word(plant, 10) !== 0).toBe(!stands && !runsOn);
  plant.start('sa');
  expect([plant.isStopped('sa'), word(plant, 10) !== 0]).toEqual([false, true]);
});
