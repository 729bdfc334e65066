import fc from 'fast-check';
import { CheckEngine } from '../check/engine.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { applied, edited, type FieldEdit } from '../testing/two-stations.testing.js';
import { giveWay } from './give-way.js';

function after(project: Project, lane: string, end: string): Project {
  const changes = giveWay(project, project.get('lane', lane)!, project.get('end', end)!);
  return applied(project, { id: 'g', label: '', changes });
}
const verdict = (project: Project, lane: string) => new CheckEngine(project).laneResults.get(lane)!.verdict;

test('an end that gives way takes length, type, values and direction, keeps its place and its names', () => {
  const project = edited(
    smallPlant(),
    ['claim', 'ca2', 'length', { count: 9, unit: 16 }],
    ['claim', 'ca2', 'items.k2.type', { base: 'REAL', count: 1 }],
    ['claim', 'ca2', 'items.k1.offset', { bits: 80 }],
    ['claim', 'ca2', 'direction', 'writes'],
    ['claim', 'ca2', 'toldPlace', 'b301'],
  );
  expect(verdict(project, 'lane2')).toBe('differs');
  const mended = after(project, 'lane2', 'ea');
  expect(verdict(mended, 'lane2')).toBe('agreed');
  const [was, now] = [project.get('claim', 'ca2')!, mended.get('claim', 'ca2')!];
  expect(now.place).toEqual(was.place);
  expect(Object.values(now.items).map((i) => i.name)).toEqual(Object.values(was.items).map((i) => i.name));
  expect(now).toMatchObject({ length: { count: 8, unit: 16 }, direction: 'reads', toldPlace: 'b300' });
  // The other end was not touched.
  expect(mended.get('claim', 'cb2')).toBe(project.get('claim', 'cb2'));
});

test('where the words of a value lie otherwise, the swap that suits all values comes along', () => {
  const project = edited(smallPlant(), ['station', 'sb', 'layout', { registerOrder: 'low first' }]);
  expect(verdict(project, 'lane')).toBe('differs');
  for (const end of ['ea', 'eb']) expect(verdict(after(project, 'lane', end), 'lane')).toBe('agreed');
});

test('whatever differs in length, type and direction, either end can give way, and then the lane agrees', () => {
  const length = fc.record({ count: fc.integer({ min: 4, max: 9 }), unit: fc.constant(16) });
  const type = fc.record({ base: fc.constantFrom('REAL', 'DINT', 'INT'), count: fc.integer({ min: 1, max: 2 }) });
  const side = fc.tuple(length, type);
  fc.assert(
    fc.property(side, side, fc.boolean(), (a, b, left) => {
      const edits = (id: string, [l, t]: typeof a): FieldEdit[] => [
        ['claim', id, 'length', l],
        ['claim', id, 'type', t],
      ];
      const project = edited(smallPlant(), ...edits('ca', a), ...edits('cb', b));
      expect(verdict(after(project, 'lane', left ? 'ea' : 'eb'), 'lane')).toBe('agreed');
    }),
    { numRuns: 40 },
  );
});
