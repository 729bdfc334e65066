import { CheckEngine } from '../check/engine.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited, twoStations, without } from '../testing/two-stations.testing.js';
import { stripOf } from './strip.js';

const stripIn = (project: Project, area: string) => stripOf(project, area, new CheckEngine(project).usesIn(area))!;

test('who puts data in stands above the line, who takes it out below, in numbers of the first view', () => {
  const { parts, nextFree, range, counts } = stripIn(smallPlant(), 'areaa');
  expect(parts.map((p) => [p.from, p.to, p.side, p.group])).toEqual([
    [100, 104, 'out', 'Exchange'],
    [300, 308, 'in', 'Exchange'],
    [320, 324, 'in', 'Second'],
    [700, 701, 'out', 'module m2'],
    [702, 703, 'out', 'module m3'],
    [800, 804, 'in', 'Line requests'],
  ]);
  expect(parts[1]!.detail).toBe('a300–a307, Exchange, Block ca: puts data in');
  expect(nextFree).toBe('a804');
  expect([range, counts]).toEqual(['a0–a999', 'words']);
});

test('two writers of one word are told with both', () => {
  const { twice } = stripIn(edited(smallPlant(), ['claim', 'ca3', 'place.number', 306]), 'areaa');
  expect(twice.map((t) => [t.from, t.to])).toEqual([[306, 308]]);
  expect(twice[0]!.detail).toContain('Exchange, Block ca');
  expect(twice[0]!.detail).toContain('Second, Block ca');
});

test('reserved ranges are parts, too; the next free address is after them', () => {
  const reservation = { r: { order: 1, start: 804 * 16, length: 64, owner: 'its module', reason: 'parameters' } };
  const { parts, nextFree } = stripIn(edited(smallPlant(), ['area', 'areaa', 'reservations', reservation]), 'areaa');
  expect(parts.at(-1)).toMatchObject({ from: 804, to: 808, side: 'reserved', group: 'its module' });
  expect(nextFree).toBe('a808');
});

test('what is drawn reaches from before the first to after the last that is used; an unused area is drawn whole', () => {
  const used = stripIn(smallPlant(), 'areaa');
  expect(used.from).toBeLessThan(100);
  expect(used.to).toBeGreaterThan(324);
  const project = edited(without(smallPlant(), 'copy', 'copy1'), ['claim', 'cb3', 'place', null]);
  expect(stripIn(project, 'areac')).toMatchObject({ from: 0, to: 400, parts: [], nextFree: 'b0' });
});

test('bytes of words kept high byte first are drawn in the order of their addresses, not exchanged', () => {
  const base = twoStations();
  const project = edited(
    base,
    ['area', 'areab', 'views', { b: { order: 1, name: 'bytes', notation: 'byte offset', unit: 8, first: 0 } }],
    ['claim', 'cb', 'place', { area: 'areab', view: 'b', number: 40 }],
    ['claim', 'cb', 'length', { count: 1, unit: 8 }],
  );
  const uses = new CheckEngine(project).usesIn('areab');
  expect(stripOf(project, 'areab', uses)!.parts.map(({ from, to }) => [from, to])).toEqual([[40, 41]]);
});
