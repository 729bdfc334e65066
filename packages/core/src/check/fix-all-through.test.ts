import { plantFromLines } from '../fields/plant-from-lines.js';
import { inOrder } from '../model/order.js';
import { Project } from '../model/project.js';
import { applied } from '../testing/two-stations.testing.js';
import { CheckEngine } from './engine.js';
import { fixAll, fixAllThrough } from './fix-all.js';

let ids = 0;
const { changes } = plantFromLines(
  Project.of({}),
  'A\tbyte memory\t10.1.0.1/24\nB\tbyte memory\t10.2.0.1/24\nLink\tcoupler\t10.1.0.9, 10.2.0.9\nA → B',
  () => `n${++ids}`,
);
const project = applied(Project.of({}), { id: 'made', label: '', changes });
const found = new CheckEngine(project).findings;
const blockers = (of: Project) =>
  [...new CheckEngine(of).findings.values()].filter(({ severity }) => severity === 'blocker').map(({ code }) => code);
const after = (made: { changes: Parameters<typeof applied>[1]['changes'] }) =>
  applied(project, { id: 'fixed', label: '', changes: made.changes });

test('a name that is set comes to light where it is called, and is entered there, too', () => {
  expect(blockers(project)).toEqual(['ADR 16', 'ADR 16']);
  expect(blockers(after(fixAll([...found.values()], project)))).toEqual(['ADR 13', 'ADR 13']);
  const through = fixAllThrough([...found.values()], project, () => [], found);
  expect(blockers(after(through))).toEqual([]);
  expect(through.fixed.map(({ code }) => code).sort()).toEqual(['ADR 13', 'ADR 13', 'ADR 16', 'ADR 16']);
});

test('what was there before and was not asked for stays as it is', () => {
  const [one] = [...found.values()].filter(({ code }) => code === 'ADR 16');
  const through = fixAllThrough([one!], project, () => [], found);
  expect(blockers(after(through))).toEqual(['ADR 16']);
  const names = inOrder(after(through), 'port').flatMap(({ deviceName }) => deviceName ?? []);
  expect(names).toHaveLength(1);
});

test('nothing to fix is nothing', () => {
  expect(fixAllThrough([], project, () => [], found)).toEqual({ changes: [], fixed: [], left: [] });
});
