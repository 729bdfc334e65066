import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { apply } from '../change/apply.js';
import { set, type Change } from '../change/index.js';
import { readProject } from '../file/read-project.js';
import type { Project } from '../model/project.js';
import { printedSeed } from '../testing/oracle.testing.js';
import { PARTS, rightPlant, type PartName } from '../testing/plant/right-plant.testing.js';
import { plantOf, randomEdit, THEMES } from '../testing/random-edits.testing.js';
import { applied } from '../testing/two-stations.testing.js';
import { KeptWork } from './kept-work.js';
import { loadedAgain } from './loaded-again.js';
import { isSettled, orderOfWork, withRecords, type PlacedStep } from './order-of-work.js';
import { tickStep, untick, type Said } from './tick-step.js';

const read = readProject(readFileSync(join(__dirname, '../../../../demo/kestrel-quay.dialoga.json'), 'utf8'));
if (!read.ok) throw new Error('the demo cannot be read');
const demo = read.project;
const AT = '2026-11-30T10:00:00.000Z';
let next = 0;
const newId = () => `work${next++}`;
const done = (project: Project, changes: readonly Change[]) => applied(project, { id: 'w', label: '', changes });
const of = (project: Project, key: string): PlacedStep => orderOfWork(project).steps.find((step) => step.key === key)!;
const say = (project: Project, key: string, said: Partial<Said> = {}) =>
  tickStep(project, orderOfWork(project), key, { state: 'done', reason: '', by: 'Ada', at: AT, ...said }, newId);
const said = (project: Project, key: string, more: Partial<Said> = {}): Project => {
  const ticked = say(project, key, more);
  if (!ticked.ok) throw new Error(ticked.sentence);
  return done(project, ticked.changes);
};
/** Every step up to one, done in its order. */
function upTo(project: Project, last: string): Project {
  let now = project;
  for (const { key } of orderOfWork(project).steps) {
    now = said(now, key);
    if (key === last) break;
  }
  return now;
}

test('the demo’s steps come in an order in which each can be done, by cable first, undone last', () => {
  const { steps, closed, left } = orderOfWork(demo);
  expect(closed).toEqual([]);
  expect(left).toBe(steps.length);
  const at = (key: string) => of(demo, key).number;
  expect(at('own adapter plant-lan')).toBe(1);
  const order = [
    'address port-evaphead',
    'device name port-evaphead',
    'load plantctl',
    'start plantctl',
    'connect evaporators',
    'test evaporators',
    'set back quay-lan',
  ];
  expect(order.map(at)).toEqual([...order.map(at)].sort((a, b) => a - b));
  expect(at('set back quay-lan')).toBe(steps.length);
  // What it says of a load: what it does, what will look wrong until when, and what proves it.
  const load = of(demo, 'load plantctl');
  expect(load).toMatchObject({
    effect: 'it stops, and its outputs go off',
    what: 'Load PlantCtl, whole',
    state: 'open',
    ready: false,
  });
  expect(load.misleads).toContainEqual({ what: 'EvapHead says that PlantCtl is missing', until: 'start plantctl' });
  expect(load.after.map(({ why }) => why)).toContain('whoever is loaded looks for the device by its name at once');
});

test('a step before its turn is refused with the reason, or taken with a name', () => {
  const early = say(demo, 'load plantctl');
  expect(early).toMatchObject({ ok: false, early: true });
  expect(early.ok ? '' : early.sentence).toMatch(/^Step \d+ comes after step \d+, “Give .*”: .*\.$/);
  expect(say(demo, 'load plantctl', { before: true, by: ' ' })).toMatchObject({
    ok: false,
    sentence: 'A step before its turn is taken with a name.',
  });
  expect(of(said(demo, 'load plantctl', { before: true }), 'load plantctl').state).toBe('done');
});

test('done twice, skipped without a reason and failed without what was seen are refused', () => {
  const once = said(demo, 'own adapter plant-lan');
  expect(say(once, 'own adapter plant-lan')).toMatchObject({
    ok: false,
    sentence: 'Step 1 was done already, says Ada.',
  });
  expect(say(demo, 'look plant-lan', { state: 'skipped' })).toMatchObject({
    ok: false,
    sentence: 'A step is skipped with a reason.',
  });
  expect(say(demo, 'look plant-lan', { state: 'failed' })).toMatchObject({
    ok: false,
    sentence: 'A step that failed says what was seen.',
  });
  expect(say(demo, 'look nowhere')).toMatchObject({ ok: false });
  const skipped = said(once, 'look plant-lan', { state: 'skipped', reason: 'seen yesterday' });
  expect(of(skipped, 'address port-skidctl').ready).toBe(true);
  expect(of(done(skipped, untick(of(skipped, 'look plant-lan'))), 'look plant-lan').state).toBe('open');
});

test('a change of the plan reopens exactly the steps that it touches, and says who is loaded again', () => {
  const loaded = upTo(demo, 'load aislesim');
  const states = (project: Project) => new Map(orderOfWork(project).steps.map(({ key, state }) => [key, state]));
  const before = states(loaded);
  const end = loaded.get('end', 'duty-plant')!;
  const changed = done(loaded, [
    set('end', end, ['told'], { ...end.told, 'duty-skid': { address: '10.48.10.12', tcpPort: '502', unit: '' } }),
  ]);
  const after = states(changed);
  expect([...after].filter(([key, state]) => state !== before.get(key)).map(([key]) => key)).toEqual([
    'load plantctl',
    'start plantctl',
  ]);
  expect(of(changed, 'load plantctl')).toMatchObject({
    state: 'changed since',
    what: 'Load PlantCtl, only what changed: its end of Compressor duty',
  });
  expect(loadedAgain(changed, orderOfWork(changed))).toEqual([
    { station: 'plantctl', how: 'only changes' },
    { station: 'skidctl', how: 'only warns' },
  ]);
  // An address: its own step, and nothing else.
  const port = loaded.get('port', 'port-brinertu')!;
  const moved = states(done(loaded, [set('port', port, ['address'], '10.48.10.33')]));
  expect([...moved].filter(([key, state]) => state !== before.get(key)).map(([key]) => key)).toEqual([
    'address port-brinertu',
  ]);
});

test('what is in force in a station already is done, whoever said so', () => {
  const port = demo.get('port', 'port-aislesim')!;
  const sent = (path: 'address' | 'mask') =>
    ({
      kind: 'setting',
      id: `s-${path}`,
      path: [],
      after: {
        id: `s-${path}`,
        order: 10,
        station: 'aislesim',
        field: `port port-aislesim ${path}`,
        state: 'in force',
        sent: port[path],
        by: 'Ada',
        at: AT,
      },
    }) as Change;
  expect(of(done(demo, [sent('address')]), 'address port-aislesim').state).toBe('open');
  expect(of(done(demo, [sent('address'), sent('mask')]), 'address port-aislesim').state).toBe('done');
});

test.each(Object.keys(PARTS) as PartName[])(
  '%s: its order closes nowhere, and each step waits for earlier ones only',
  (part) => {
    for (let seed = 1; seed <= 3; seed++) {
      const { steps, closed } = orderOfWork(rightPlant(seed, [part]));
      expect(closed).toEqual([]);
      const number = new Map(steps.map((step) => [step.key, step.number]));
      for (const step of steps) for (const { key } of step.after) expect(number.get(key)!).toBeLessThan(step.number);
    }
  },
);

test('done one after the other in their order, all steps of a plant are taken, and nothing is left', () => {
  const project = rightPlant(5, ['requests', 'radio', 'remoteIo']);
  const work = orderOfWork(project);
  let now = project;
  for (const { key } of work.steps) {
    now = said(now, key);
    // What shows at once is what is worked out anew.
    const states = (all: readonly PlacedStep[]) => all.map(({ state, ready }) => [state, ready]);
    expect(states(withRecords(work, now).steps)).toEqual(states(orderOfWork(now).steps));
  }
  expect(orderOfWork(now).steps.filter((step) => !isSettled(step))).toEqual([]);
});

test('the order worked out with what was kept while a plant is edited is the one worked out anew', () => {
  const edit = fc.tuple(fc.nat(), fc.nat(), fc.nat());
  fc.assert(
    fc.property(fc.constantFrom(...THEMES), fc.array(edit, { minLength: 3, maxLength: 12 }), (theme, edits) => {
      let project = plantOf(theme);
      const kept = new KeptWork(project);
      edits.forEach(([what, whose, value], i) => {
        const made = apply(project, {
          id: `c${i}`,
          label: '',
          changes: randomEdit(project, theme, what, whose, value, `fresh${i}`) ?? [],
        });
        if (!made.ok) return;
        project = project.with(made.entities);
        kept.edit(project, made.entities);
        expect(orderOfWork(project, kept)).toEqual(orderOfWork(project));
      });
    }),
    { seed: printedSeed('order of work'), numRuns: 40 },
  );
});
