import { SHIPPED_PROFILES } from '../profiles/shipped.js';
import { proposeStart } from '../exchange/start-sequence.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, codesOf, edited } from '../testing/two-stations.testing.js';
import { offeredBlocks, takeBlock } from './take-block.js';

const small = SHIPPED_PROFILES.find((p) => p.id === 'profile-small')!;
/** C is a small controller, whose communication module takes a block of its memory. */
const plant = (): Project =>
  edited(
    added(smallPlant(), 'profile', {
      ...small,
      views: smallPlant().get('profile', 'pb')!.views,
      speaks: null,
      layout: {},
      limits: {},
    }),
    ['station', 'sc', 'profile', 'profile-small'],
  );

function taken(project: Project): Project {
  const station = project.get('station', 'sc')!;
  const [offer] = offeredBlocks(project, station);
  return applied(project, { id: 't', label: '', changes: takeBlock(project, station, offer!, 'block') });
}

test('a block of the profile is offered once, and lands where it may start', () => {
  const after = taken(plant());
  const { block } = after.get('area', 'areac')!.reservations;
  const [{ firstStart, startStep, length } = { length: 0 }] = Object.values(small.blocks!);
  expect((block!.start - firstStart!) % startStep!).toBe(0);
  expect(block!.length).toBe(length);
  expect(offeredBlocks(after, after.get('station', 'sc')!)).toEqual([]);
  expect(offeredBlocks(smallPlant(), smallPlant().get('station', 'sc')!)).toEqual([]);
});

test('where the first place is taken, the next that is permitted is', () => {
  const [block] = Object.values(small.blocks!);
  const first = block!.firstStart!;
  const blocked = edited(plant(), [
    'area',
    'areac',
    'reservations',
    { r: { order: 1, start: first, length: 16, owner: 'x' } },
  ]);
  expect(taken(blocked).get('area', 'areac')!.reservations.block!.start).toBe(first + block!.startStep!);
});

test('its bits are what the start sequence of an exchange is proposed from', () => {
  const after = taken(plant());
  expect(codesOf(after)).toContain('DIR 12');
  const changes = proposeStart(after, after.get('exchange', 'y')!);
  expect(codesOf(applied(after, { id: 'p', label: '', changes }))).not.toContain('DIR 12');
});
