import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { CheckEngine } from '../check/engine.js';
import { compareLane } from '../lane/compare.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { bitLane, projectOf as projectOfBits } from '../testing/bit-lanes.testing.js';
import { blockLane, projectOf as projectOfBlock } from '../testing/block-lanes.testing.js';
import { lane as randomLane, projectOf } from '../testing/lanes.testing.js';
import { holds, oracleRuns, printedSeed } from '../testing/oracle.testing.js';
import { Dice } from '../testing/plant/dice.testing.js';
import { PARTS, rightPlant, type PartName } from '../testing/plant/right-plant.testing.js';
import { SLIPS } from '../testing/slips/catalogue.testing.js';
import { edited } from '../testing/two-stations.testing.js';
import { walkLane } from './walk-lane.js';

const seed = printedSeed('walks');
jest.setTimeout(60_000 * oracleRuns(1));

const walked = (project: Project) =>
  [...project.all('lane')].map((lane) => walkLane(project, project.get('exchange', lane.exchange)!, lane));

test.each(Object.keys(PARTS) as PartName[])('%s, right by construction, walks from end to end', (part) => {
  for (let i = 0; i < oracleRuns(6); i++) {
    const failed = walked(rightPlant(seed + i, [part])).filter(({ result }) => result !== 'passed');
    expect({ seed: seed + i, failed }).toEqual({ seed: seed + i, failed: [] });
  }
});

/**
 * What the comparison and the walk say differently of the lanes of a project. A lane that agrees may be stopped by a hop,
 * an address as a rule, which the comparison leaves to the other rules: then something has to be found of what the hop goes by, its
 * exchange, or a station, port or network on the way.
 */
function disagreements(project: Project): string[] {
  const engine = new CheckEngine(project);
  const findings = [...engine.findings.values()].filter(({ severity }) => severity !== 'hint');
  const isAbout = (ids: ReadonlySet<string>) =>
    findings.some(
      ({ about, cells, parties }) =>
        ids.has(about.id) ||
        cells.some(({ id }) => ids.has(id)) ||
        parties.some(({ station }) => ids.has(station ?? '')),
    );
  return walked(project).flatMap(({ lane, result, why, paths }) => {
    const agreed = engine.laneResults.get(lane)!.verdict === 'agreed';
    if (agreed === (result === 'passed')) return [];
    const byHop = paths.some(({ stopped }) => stopped !== null);
    if (agreed && byHop && isAbout(onTheWay(project, lane))) return [];
    return [`${lane} is ${engine.laneResults.get(lane)!.verdict}, the walk ${result}: ${why ?? ''}`];
  });
}

/** What a lane goes by: its exchange and its ends, and their stations with all ports and networks. */
function onTheWay(project: Project, lane: string): ReadonlySet<string> {
  const exchange = project.get('lane', lane)!.exchange;
  const ends = childrenOf(project, 'end', exchange);
  const stations = ends.map(({ station }) => station);
  const ports = stations.flatMap((station) => childrenOf(project, 'port', station));
  const networks = ports.flatMap(({ network }) => network ?? []);
  return new Set([exchange, lane, ...ends.map(({ id }) => id), ...stations, ...ports.map(({ id }) => id), ...networks]);
}

test('in plants with one slip a lane is Agreed if and only if its walk passes, or a hop stops it that was found', () => {
  const seen = { passed: 0, failed: 0 };
  const wrong: string[] = [];
  for (let i = 0; i < oracleRuns(3); i++) {
    const dice = new Dice(seed + i);
    const plant = rightPlant(seed + i);
    for (const [kind, slips] of Object.entries(SLIPS)) {
      const all = slips(plant, dice);
      if (all.length === 0) continue;
      const made = apply(plant, { id: 'slip', label: '', changes: dice.pick(all).changes });
      if (!made.ok) continue;
      const project = plant.with(made.entities);
      wrong.push(...disagreements(project).map((words) => `seed ${seed + i}, ${kind}: ${words}`));
      for (const { result } of walked(project)) seen[result === 'passed' ? 'passed' : 'failed']++;
    }
  }
  expect(wrong.slice(0, 10)).toEqual([]);
  expect(Math.min(seen.passed, seen.failed)).toBeGreaterThan(20);
});

/** Whoever of the two calls was told where the other is. */
const reachable = (project: Project): Project =>
  edited(
    project,
    ['end', 'ea', 'told', { eb: { address: '10.0.0.2', tcpPort: '', unit: '' } }],
    ['end', 'eb', 'told', { ea: { address: '10.0.0.1', tcpPort: '', unit: '' } }],
  );

function asWalked<T>(name: string, lanes: fc.Arbitrary<T>, usual: number, projectOf: (one: T) => Project): void {
  const seen = { passed: 0, not: 0 };
  holds(
    name,
    lanes,
    usual,
    (random) => {
      const project = reachable(projectOf(random));
      const exchange = project.get('exchange', 'x')!;
      const lane = project.get('lane', 'lane')!;
      const { result, why } = walkLane(project, exchange, lane);
      const { verdict, differences } = compareLane(project, lane, exchange);
      seen[result === 'passed' ? 'passed' : 'not']++;
      const codes = differences.map(({ code }) => code);
      expect({ agreed: verdict === 'agreed', codes, why }).toEqual({ agreed: result === 'passed', codes, why });
    },
    projectOf,
  );
  expect(Math.min(seen.passed, seen.not)).toBeGreaterThan(oracleRuns(usual) / 6);
}

test('of any two layouts and swaps, a lane is Agreed if and only if its walk passes', () => {
  asWalked('walked lanes', randomLane, 1500, projectOf);
});
test('the same where bits travel one by one', () => asWalked('walked bits', bitLane, 700, projectOfBits));
test('the same of a block against values', () => asWalked('walked blocks', blockLane, 700, projectOfBlock));

test('a walk is the same each time', () => {
  fc.assert(
    fc.property(fc.nat(1000), (n) => expect(walked(rightPlant(n))).toEqual(walked(rightPlant(n)))),
    { numRuns: 5 },
  );
});
