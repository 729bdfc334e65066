import {
  added,
  applied,
  codesOf,
  edited,
  findingsOf,
  wordsOf,
  type FieldEdit,
} from '../testing/two-stations.testing.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import type { Module } from '../model/module.js';
import type { Project } from '../model/project.js';
import { planMove, type MovePlan } from './move-module.js';

/** A's outputs: m2 at a700 and m3 at a701, one word each; a lane of A reads from a701. */
const plant = (...edits: FieldEdit[]): Project =>
  edited(
    smallPlant(),
    ['rack', 'rack', 'addressesFollow', true],
    ['rack', 'rack', 'size', 6],
    ['landing', 'l2', 'outputs', 2],
    ['landing', 'l3', 'outputs', 2],
    ['landing', 'l3', 'outputsAt.number', 701],
    ['landing', 'l3', 'slot', 2],
    ['claim', 'ca2', 'place.number', 701],
    ['claim', 'ca2', 'length', { count: 1, unit: 16 }],
    ...edits,
  );
const inserted: Module = {
  id: 'fresh',
  order: 90,
  name: 'Fresh',
  rack: 'rack',
  slot: null,
  kind: 'digital output',
  orderCode: 'DO-16',
  inputs: 0,
  outputs: 4,
};
const plan = (project: Project, module: Module, slot: number): MovePlan => {
  const made = planMove(project, project.get('rack', 'rack')!, module, slot, 'newlanding');
  if (typeof made === 'string') throw new Error(made);
  return made;
};
const after = (project: Project, made: MovePlan, along: boolean) =>
  applied(project, { id: 'move', label: '', changes: made.changes(along) });

test('a module put before two others moves both up, and the ranges that follow from the slots', () => {
  const project = plant();
  const made = plan(project, inserted, 1);
  expect(made.moves.map((m) => [m.module.id, m.from, m.to])).toEqual([
    ['fresh', null, 1],
    ['m2', 1, 2],
    ['m3', 2, 3],
  ]);
  expect(made.ranges.map((r) => [r.landing.module, r.before, r.after])).toEqual([
    ['fresh', '', 'a700–a701'],
    ['m2', 'a700', 'a702'],
    ['m3', 'a701', 'a703'],
  ]);
  const next = after(project, made, false);
  expect(['m1', 'fresh', 'm2', 'm3'].map((id) => next.get('module', id)?.slot)).toEqual([0, 1, 2, 3]);
  expect(next.get('landing', 'newlanding')).toMatchObject({ station: 'sa', role: 'owner', slot: 1 });
  expect(next.get('landing', 'l3')).toMatchObject({ slot: 3, outputsAt: { number: 703 } });
  expect(codesOf(next).filter((code) => code.startsWith('HWS'))).toEqual([]);
});

test('what is bound to a range that moves is named, with who writes there afterwards; it moves along or stays', () => {
  const project = plant();
  const made = plan(project, inserted, 1);
  expect(made.bound).toHaveLength(1);
  expect(made.bound[0]).toMatchObject({
    before: 'a701',
    after: 'a703',
    writer: 'the new module',
    where: 'Exchange',
  });
  expect(after(project, made, true).get('claim', 'ca2')?.place).toMatchObject({ number: 703 });
  expect(after(project, made, false).get('claim', 'ca2')?.place).toMatchObject({ number: 701 });
});

test('a module moved behind another pushes up what follows; where addresses do not follow, no range moves', () => {
  const project = plant(['rack', 'rack', 'addressesFollow', false]);
  const made = plan(project, project.get('module', 'm2')!, 2);
  expect(made.moves.map((m) => [m.module.id, m.to])).toEqual([
    ['m2', 2],
    ['m3', 3],
  ]);
  expect(made.ranges).toEqual([]);
  expect(after(project, made, true).get('landing', 'l2')?.slot).toBe(2);
});

test('no room, no such slot, and a zone for other kinds are told', () => {
  const planned = (project: Project, slot: number) =>
    planMove(project, project.get('rack', 'rack')!, inserted, slot, 'newlanding');
  expect(planned(plant(), 40)).toBe('the rack has slots 0 to 5');
  expect(planned(plant(['rack', 'rack', 'size', 3]), 1)).toBe('no slot is free behind slot 1');
  const zones = { z: { order: 1, name: 'Heads', slot: 0, size: 2, kinds: ['head'] } };
  expect(planned(plant(['rack', 'rack', 'zones', zones]), 1)).toBe('zone Heads takes head only');
  expect(planned(plant(['rack', 'rack', 'zones', zones]), 0)).toBe('zone Heads takes head only');
});

test('tags at addresses of a range that moves are named first, move along or stay, and are then at no module', () => {
  const listed = added(plant(), 'tag', {
    id: 'fan',
    order: 90,
    station: 'sa',
    name: 'Fan_Run',
    type: { base: 'WORD', count: 1 },
    place: { area: 'areaa', view: 'va', number: 700 },
  });
  const { areaKind: _, ...va } = listed.get('profile', 'pa')!.views.va!;
  const project = edited(
    listed,
    ['area', 'areaa', 'kind', 'output image'],
    ['area', 'areaa', 'views', { va }],
    ['claim', 'ca2', 'place.number', 900],
  );
  const made = plan(project, inserted, 1);
  expect(made.bound.map((one) => [one.of, one.name, one.where, one.before, one.after])).toEqual([
    ['tag', 'Fan_Run', 'A', 'a700', 'a702'],
  ]);
  expect(after(project, made, true).get('tag', 'fan')!.place).toMatchObject({ number: 702 });
  const left = after(edited(project, ['tag', 'fan', 'place.number', 701]), plan(project, inserted, 1), false);
  expect(left.get('tag', 'fan')!.place).toMatchObject({ number: 701 });
  const alone = edited(left, ['tag', 'fan', 'place.number', 720]);
  const finding = findingsOf(alone).find((f) => f.code === 'POS 5' && f.message === 'noModule')!;
  expect(wordsOf(finding)).toContain('tag Fan_Run in Memory, where no module is');
});
