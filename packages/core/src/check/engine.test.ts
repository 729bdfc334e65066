import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { invert, type ChangeSet } from '../change/change.js';
import { diff } from '../change/diff.js';
import { plantOf, randomEdit, smallPlant, taggedPlant, THEMES, type Theme } from '../testing/random-edits.testing.js';
import { oracleRuns, printedSeed } from '../testing/oracle.testing.js';
import { codesOf } from '../testing/two-stations.testing.js';
import { RULES } from './catalogue.js';
import { CheckEngine, type CheckChange } from './engine.js';
import type { Finding } from '../finding/finding.js';

const theme = fc.constantFrom(...THEMES);
const steps = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { minLength: 4, maxLength: 30 });

const sorted = (findings: ReadonlyMap<string, Finding>) =>
  [...findings.values()].sort((a, b) => (a.key < b.key ? -1 : 1));

test('the plant of these tests has nothing to find', () => {
  expect(codesOf(smallPlant())).toEqual([]);
  expect(codesOf(taggedPlant())).toEqual([]);
  expect(codesOf(plantOf('routes'))).toEqual([]);
});

/** What happens to a plant by random edits, with what whoever follows the changes that are told has in the end. */
class Followed {
  readonly engine: CheckEngine;
  readonly shown: Map<string, Finding>;
  private last: ChangeSet | null = null;

  constructor(
    private readonly about: Theme,
    private readonly fired: Set<string>,
    private readonly cleared: Set<string>,
    public project = plantOf(about),
  ) {
    this.engine = new CheckEngine(project);
    this.shown = new Map(this.engine.findings);
  }

  /** One more edit, or the one before it taken back; false where it could not be made. */
  edit([what, whose, value]: readonly [number, number, number], i: number): boolean {
    const { project, about, last } = this;
    const undone = last && what % 2 === 1 ? invert(last, `u${i}`) : null;
    const changes = undone ? [] : randomEdit(project, about, what, whose, value, `fresh${i}`);
    const changeSet = undone ?? { id: `c${i}`, label: '', changes: changes ?? [] };
    const done = this.make(changeSet);
    if (done) this.last = undone ? null : changeSet;
    return done;
  }

  /** All of it taken back at once. */
  takeBack(): void {
    const back = { id: 'back', label: '', changes: diff(this.project, plantOf(this.about)) };
    if (!this.make(back)) throw new Error('the edits cannot be taken back');
  }

  private make(changeSet: ChangeSet): boolean {
    const applied = apply(this.project, changeSet);
    if (!applied.ok) return false;
    this.project = this.project.with(applied.entities);
    this.follow(this.engine.update(this.project, applied.entities));
    return true;
  }

  private follow({ findings }: CheckChange): void {
    for (const [key, finding] of findings) {
      const known = this.shown.get(key);
      if (finding) this.fired.add(this.shown.set(key, finding).get(key)!.code);
      else if (known && this.shown.delete(key)) this.cleared.add(known.code);
    }
  }
}

/** Random change sets over shared areas, with edits of profiles and networks among them; more of them in `npm run torture`. */
test('re-checking after any edits gives exactly what a full check gives', () => {
  const [fired, cleared] = [new Set<string>(), new Set<string>()];
  const check = fc.property(theme, steps, (about, edits) => {
    const plant = new Followed(about, fired, cleared);
    edits.forEach((edit, i) => {
      if (!plant.edit(edit, i) || (i % 6 !== 5 && i < edits.length - 1)) return;
      const { engine, shown } = plant;
      const full = new CheckEngine(plant.project);
      expect(sorted(engine.findings)).toEqual(sorted(full.findings));
      expect(new Map([...engine.laneResults].sort())).toEqual(new Map([...full.laneResults].sort()));
      expect(sorted(shown)).toEqual(sorted(full.findings));
    });
    plant.takeBack();
    expect([sorted(plant.engine.findings), sorted(plant.shown)]).toEqual([[], []]);
  });
  fc.assert(check, { numRuns: oracleRuns(160), seed: printedSeed('re-checked against a full check') });
});

/**
 * Runs of the sample below by which a rule fires or clears for the first time. They come first, so that the others need not be
 * made; where that is no longer enough, the others follow.
 */
// prettier-ignore
const TELLING: readonly number[] = [
  0, 2, 3, 4, 5, 6, 8, 10, 11, 12, 13, 15, 18, 20, 21, 22, 23, 24, 25, 26, 27, 28, 29, 30, 32, 35, 38, 39, 41, 43,
  44, 45, 46, 50, 55, 61, 65, 70, 78, 79, 82, 83, 89, 98, 99, 102, 103, 105, 114, 122, 141, 142, 164, 167, 168, 172,
  195, 200, 201, 214, 226, 241, 260, 305, 311, 334, 346, 405, 414, 420, 431, 498, 556, 577, 591, 648, 759, 856, 897,
];

test('every rule fires and clears by such edits', () => {
  const [fired, cleared] = [new Set<string>(), new Set<string>()];
  const all = RULES.map((r) => r.meta.code).sort();
  const runs = fc.sample(fc.tuple(theme, steps), { numRuns: 1080, seed: 20261125 });
  const others = runs.flatMap((_, i) => (TELLING.includes(i) ? [] : [i]));
  const telling: number[] = [];
  for (const at of [...TELLING, ...others]) {
    if (cleared.size === all.length) break;
    const [about, edits] = runs[at]!;
    const known = fired.size + cleared.size;
    const plant = new Followed(about, fired, cleared);
    edits.forEach((edit, i) => plant.edit(edit, i));
    plant.takeBack();
    if (fired.size + cleared.size > known) telling.push(at);
  }
  if (telling.some((at) => !TELLING.includes(at)))
    process.stdout.write(`runs that tell something: ${telling.join(', ')}\n`);
  expect([...fired].sort()).toEqual(all);
  expect([...cleared].sort()).toEqual(all);
});

test('checked in slices, with further edits in between, the end is what a full check gives', () => {
  const slices = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat(), fc.nat(6)), { minLength: 4, maxLength: 20 });
  let cut = 0;
  fc.assert(
    fc.property(theme, slices, (about, edits) => {
      let project = plantOf(about);
      const engine = new CheckEngine(project);
      const shown = new Map(engine.findings);
      const lanes = new Map(engine.laneResults);
      const take = (most: number) => {
        let asked = 0;
        const change = engine.advance(() => asked++ > most);
        for (const [key, finding] of change.findings) {
          if (finding) shown.set(key, finding);
          else shown.delete(key);
        }
        for (const [id, lane] of change.lanes) {
          if (lane) lanes.set(id, lane);
          else lanes.delete(id);
        }
        if (engine.waiting > 0) cut++;
      };
      edits.forEach(([what, whose, value, most], i) => {
        const applied = apply(project, {
          id: `c${i}`,
          label: '',
          changes: randomEdit(project, about, what, whose, value, `fresh${i}`) ?? [],
        });
        if (!applied.ok) return;
        project = project.with(applied.entities);
        engine.edit(project, applied.entities);
        take(most);
      });
      while (engine.waiting > 0) take(3);
      const full = new CheckEngine(project);
      expect(sorted(shown)).toEqual(sorted(full.findings));
      expect(new Map([...lanes].sort())).toEqual(new Map([...full.laneResults].sort()));
    }),
    { numRuns: 120 },
  );
  expect(cut).toBeGreaterThan(200);
});

test('codes are unique, and a rule yields only to rules that there are', () => {
  const codes = RULES.map((r) => r.meta.code);
  expect(new Set(codes).size).toBe(codes.length);
  const messages = RULES.flatMap(({ meta }) => Object.keys(meta.messages).map((message) => `${meta.code} ${message}`));
  const known = new Set([...codes, ...messages]);
  for (const { meta } of RULES)
    for (const code of [
      ...(meta.yieldsTo ?? []),
      ...(meta.yieldsAtCell ?? []),
      ...Object.values(meta.messages).flatMap((one) => [...(one.yieldsTo ?? []), ...(one.yieldsAtCell ?? [])]),
    ])
      expect(known).toContain(code);
});

test('what yields never yields in a circle: then all of it would be silent', () => {
  const messages = RULES.flatMap(({ meta }) =>
    Object.entries(meta.messages).map(([name, own]) => ({ meta, name, own })),
  );
  const nameOf = ({ meta, name }: (typeof messages)[number]) => `${meta.code} ${name}`;
  const next = new Map(
    messages.map((one) => {
      const { meta, own } = one;
      const all = [meta.yieldsTo, meta.yieldsAtCell, own.yieldsTo, own.yieldsAtCell].flatMap((list) => list ?? []);
      const to = messages.filter(
        (other) => other !== one && (all.includes(other.meta.code) || all.includes(nameOf(other))),
      );
      return [nameOf(one), to.map(nameOf)] as const;
    }),
  );
  const circle = (from: string, at: string, seen: Set<string>): boolean =>
    next.get(at)!.some((to) => to === from || (!seen.has(to) && circle(from, to, seen.add(to))));
  expect([...next.keys()].filter((name) => circle(name, name, new Set()))).toEqual([]);
});
