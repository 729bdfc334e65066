import { CheckEngine } from '../check/engine.js';
import { inOrderOfWork } from '../check/order-of-work.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { edited, without } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { exchangeMatrix } from './matrix.js';
import { toDo, verdictCounts } from './to-do.js';

function matrixOf(project: Project) {
  const engine = new CheckEngine(project);
  return exchangeMatrix(project, (lane) => engine.laneResults.get(lane)?.verdict, engine.findings.values());
}
const cellsOf = (project: Project) =>
  matrixOf(project).cells.map((c) => [c.source, c.sink, c.bits / 16, c.verdict, c.heldUp, c.lanes.map((l) => l.name)]);

test('sources down, sinks across, with the words of the source', () => {
  expect(cellsOf(smallPlant())).toEqual([
    ['sa', 'sb', 4, 'agreed', false, ['Block ca']],
    ['sb', 'sa', 12, 'agreed', false, ['Block ca', 'Block ca']],
    ['sc', 'sa', 4, 'agreed', false, ['Block ca']],
  ]);
  const { sources, sinks } = matrixOf(smallPlant());
  expect([sources.map((s) => s.name), sinks.map((s) => s.name)]).toEqual([
    ['A', 'B', 'C'],
    ['A', 'B'],
  ]);
});

test('a cell shows the worst of its lanes; one that agrees is held up by a Blocker elsewhere', () => {
  expect(cellsOf(edited(smallPlant(), ['claim', 'cb', 'length.count', 5]))[0]![3]).toBe('differs');
  const told = cellsOf(edited(smallPlant(), ['end', 'ea', 'told.eb.address', '10.0.0.99']));
  expect(told.map((c) => [c[3], c[4]])).toEqual([
    ['agreed', true],
    ['agreed', true],
    ['agreed', false],
  ]);
});

test('an end that says nothing is taken to be on the other side', () => {
  const silentSink = cellsOf(without(smallPlant(), 'claim', 'cb'));
  expect(silentSink[0]!.slice(0, 4)).toEqual(['sa', 'sb', 4, 'one-sided']);
  const silentSource = cellsOf(without(smallPlant(), 'claim', 'cb2'));
  expect(silentSource[1]!.slice(0, 4)).toEqual(['sb', 'sa', 12, 'one-sided']);
});

test('what is to do stands under its step, the first Blocker to begin with', () => {
  const project = edited(
    smallPlant(),
    ['claim', 'cb', 'length.count', 5],
    ['port', 'porta', 'address', '10.0.0.3'],
    ['area', 'areab', 'name', ''],
  );
  const engine = new CheckEngine(project);
  const steps = toDo(inOrderOfWork(engine.findings.values(), project));
  expect(steps.map((s) => [s.step, s.counts.blocker, s.first?.code])).toEqual([
    ['Stations', 1, 'NAM 1'],
    ['Wiring', 1, 'ADR 1'],
    ['Routes', 0, undefined],
    ['Exchanges', 1, 'SIZ 1'],
    ['Tags', 0, undefined],
  ]);
  expect(verdictCounts(['agreed', 'agreed', 'differs'])).toMatchObject({ agreed: 2, differs: 1, described: 0 });
});
