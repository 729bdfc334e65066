import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { apply } from '../change/apply.js';
import { CheckEngine } from '../check/engine.js';
import { readProject } from '../file/read-project.js';
import type { Finding } from '../finding/finding.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { walkLane } from '../rehearse/walk-lane.js';
import { printedSeed } from '../testing/oracle.testing.js';
import { Dice } from '../testing/plant/dice.testing.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { SLIPS } from '../testing/slips/catalogue.testing.js';
import { rankedCauses } from './ranked-causes.js';
import { symptomOfWalk } from './symptom-of-walk.js';
import { symptomOf } from './symptoms-named.js';

/** Where the true cause stands among those of the symptom that a person would see; null: nothing is seen. */
interface Told {
  what: string;
  symptom: string;
  codes: string[];
  /** from 1; null: not among them */
  place: number | null;
}

/** Of every lane that goes wrong: the symptom at its stations, and where the first cause stands that what was done wrong bears on. */
function told(project: Project, findings: readonly Finding[], done: readonly Finding[], what: string): Told[] {
  const codes = new Set(done.map(({ code }) => code));
  return [...project.all('lane')].flatMap((lane) => {
    const exchange = project.get('exchange', lane.exchange)!;
    const symptom = symptomOfWalk(project, walkLane(project, exchange, lane));
    if (symptom === null) return [];
    const at = new Set([
      lane.id,
      exchange.id,
      ...childrenOf(project, 'end', exchange.id).flatMap(({ id, station }) => [id, station]),
    ]);
    const ranked = rankedCauses(symptomOf(symptom)!, { findings, at });
    const place = ranked.findIndex(
      ({ cause, findings: own }) => own.length > 0 && cause.codes.some((code) => codes.has(code)),
    );
    return [{ what, symptom, codes: [...codes], place: place < 0 ? null : place + 1 }];
  });
}

function shares(all: readonly Told[]) {
  const within = (n: number) => all.filter(({ place }) => place !== null && place <= n).length / all.length;
  return { first: within(1), third: within(3), missed: all.filter(({ place }) => place === null || place > 3) };
}

const words = (missed: readonly Told[]): string =>
  missed.map(({ what, symptom, codes }) => `${what}: ${symptom}, ${codes.join(' ')}`).join('; ') || 'none';

const SLIPS_MADE = Number(process.env.SLIPS_MADE ?? 40);

test('of slips made at random that show, the true cause stands first in four of five, among the first three in 95 of 100', () => {
  const seed = printedSeed('symptoms');
  const all: Told[] = [];
  for (let i = 0; all.length < SLIPS_MADE; i++) {
    const dice = new Dice(seed + i);
    const plant = rightPlant(seed + i);
    const kind = dice.pick(Object.keys(SLIPS));
    const slips = SLIPS[kind]!(plant, dice);
    if (slips.length === 0) continue;
    const made = apply(plant, { id: 'slip', label: '', changes: dice.pick(slips).changes });
    if (!made.ok) continue;
    const project = plant.with(made.entities);
    const findings = [...new CheckEngine(project).findings.values()];
    // One symptom a slip: what is seen first.
    const [first] = told(project, findings, findings, `seed ${seed + i}, ${kind}`);
    if (first) all.push(first);
  }
  const { first, third, missed } = shares(all);
  process.stdout.write(`symptoms of slips: first ${first}, first three ${third}; missed: ${words(missed)}\n`);
  expect(third).toBeGreaterThanOrEqual(0.95);
  expect(first).toBeGreaterThanOrEqual(0.8);
});

test('of the demo’s faults that show in its walk, the true cause stands first in four of five, among the first three in 95 of 100', () => {
  const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
  if (!read.ok) throw new Error('the demo cannot be read');
  const findings = [...new CheckEngine(read.project).findings.values()];
  const all = new Map<string, Told>();
  for (const lane of read.project.all('lane')) {
    const exchange = read.project.get('exchange', lane.exchange)!;
    const walk = walkLane(read.project, exchange, lane);
    // The fault: where a hop stops everything, what is found of the exchange, its ends and their ports; else of the lane.
    const both = childrenOf(read.project, 'end', exchange.id);
    const ends = both.flatMap(({ id, port }) => [id, port ?? '']);
    const stopped = walk.paths.some((path) => path.stopped !== null);
    const done = findings.filter(
      ({ about, cells, lane: one, lanes = [] }) =>
        (stopped && (about.id === exchange.id || cells.some(({ id }) => ends.includes(id)))) ||
        (!stopped && (one === lane.id || lanes.includes(lane.id))),
    );
    const symptom = symptomOfWalk(read.project, walk);
    if (symptom === null || done.length === 0) continue;
    const at = new Set([lane.id, exchange.id, ...ends]);
    const codes = done.map(({ code }) => code);
    const place = rankedCauses(symptomOf(symptom)!, { findings, at }).findIndex(
      ({ cause, findings: found }) => found.length > 0 && cause.codes.some((code) => codes.includes(code)),
    );
    all.set(`${codes.join()} ${symptom}`, { what: lane.id, symptom, codes, place: place < 0 ? null : place + 1 });
  }
  const { first, third, missed } = shares([...all.values()]);
  process.stdout.write(
    `symptoms of the demo, ${all.size}: first ${first}, first three ${third}; missed: ${words(missed)}\n`,
  );
  expect(third).toBeGreaterThanOrEqual(0.95);
  expect(first).toBeGreaterThanOrEqual(0.8);
});
