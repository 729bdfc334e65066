import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { invert, type ChangeSet } from '../change/change.js';
import { diff } from '../change/diff.js';
import { plantOf, randomEdit, smallPlant, taggedPlant, THEMES } from '../testing/random-edits.testing.js';
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

/** Random change sets over shared areas, with edits of profiles and networks among them. */
test('re-checking after any edits gives exactly what a full check gives, and every rule fires and clears', () => {
  const fired = new Set<string>();
  const cleared = new Set<string>();
  fc.assert(
    fc.property(theme, steps, (about, edits) => {
      let project = plantOf(about);
      const engine = new CheckEngine(project);
      const shown = new Map(engine.findings);
      let last: ChangeSet | null = null;
      /** Whoever follows the changes that are told sees the same. */
      const follow = ({ findings }: CheckChange) => {
        for (const [key, finding] of findings) {
          const known = shown.get(key);
          if (finding) fired.add(shown.set(key, finding).get(key)!.code);
          else if (known && shown.delete(key)) cleared.add(known.code);
        }
      };
      edits.forEach(([what, whose, value], i) => {
        const changes = randomEdit(project, about, what, whose, value, `fresh${i}`);
        const undone = last && what % 2 === 1 ? invert(last, `u${i}`) : null;
        const changeSet = undone ?? { id: `c${i}`, label: '', changes: changes ?? [] };
        const applied = apply(project, changeSet);
        if (!applied.ok) return;
        last = undone ? null : changeSet;
        project = project.with(applied.entities);
        follow(engine.update(project, applied.entities));
        if (i % 6 !== 5 && i < edits.length - 1) return;
        const full = new CheckEngine(project);
        expect(sorted(engine.findings)).toEqual(sorted(full.findings));
        expect(new Map([...engine.laneResults].sort())).toEqual(new Map([...full.laneResults].sort()));
        expect(sorted(shown)).toEqual(sorted(full.findings));
      });
      // All of it taken back at once, nothing is found any more.
      const back = apply(project, { id: 'back', label: '', changes: diff(project, plantOf(about)) });
      if (!back.ok) throw new Error(back.refusal.sentence);
      follow(engine.update(project.with(back.entities), back.entities));
      expect([sorted(engine.findings), sorted(shown)]).toEqual([[], []]);
    }),
    { numRuns: 1080, seed: 20261125 },
  );
  const all = RULES.map((r) => r.meta.code).sort();
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
    { numRuns: 300 },
  );
  expect(cut).toBeGreaterThan(500);
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
