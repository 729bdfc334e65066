import { apply } from '../change/apply.js';
import { set } from '../change/make.js';
import { compareLane } from '../lane/compare.js';
import { readable } from '../model/as-typed.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { rightPlant } from '../testing/plant/right-plant.testing.js';
import { walkLane } from './walk-lane.js';

const changed = (project: Project, changes: Parameters<typeof apply>[1]['changes']): Project => {
  const made = apply(project, { id: 'e', label: '', changes });
  if (!made.ok) throw new Error(made.refusal.sentence);
  return project.with(made.entities);
};

/** What becomes of the first lane that follows from such a setting. */
function outcome(project: Project, from: string) {
  const lane = [...project.all('lane')].find(({ madeBy }) => madeBy?.startsWith(from))!;
  const exchange = project.get('exchange', lane.exchange)!;
  const { result, why } = walkLane(project, exchange, lane);
  const { verdict, unknown } = compareLane(project, lane, exchange);
  return { result, why, verdict, unknown };
}

const settingOf = (project: Project, from: string): string =>
  [...project.all('lane')].find(({ madeBy }) => madeBy?.startsWith(from))!.madeBy!.split(' ')[1]!;

test.each([
  ['landing', 'remoteIo'],
  ['dial', 'radio'],
] as const)('a lane that follows from a %s passes by what that moves', (from, part) => {
  expect(outcome(rightPlant(3, [part]), from)).toMatchObject({ result: 'passed', verdict: 'agreed', unknown: null });
});

test('both ends of a lane moved alike on their pages, and not in the module assignment: it is not agreed, and does not walk', () => {
  const right = rightPlant(3, ['remoteIo']);
  const lane = [...right.all('lane')].find(({ madeBy }) => madeBy?.startsWith('landing'))!;
  const project = changed(
    right,
    childrenOf(right, 'claim', lane.id).map((claim) => {
      const place = readable(claim.place)!;
      return set('claim', claim, ['place'], { ...place, number: place.number + 2 });
    }),
  );
  const { result, verdict, unknown } = outcome(project, 'landing');
  expect([result, verdict]).toEqual(['failed', 'unchecked']);
  expect(unknown).toContain('exchanges it elsewhere: the module assignment of');
});

test('a rotary switch that was turned: data goes where the switch says, whatever the page says', () => {
  const right = rightPlant(3, ['radio']);
  const module = right.get('module', settingOf(right, 'dial'))!;
  const turned = changed(right, [set('module', module, ['dial'], '9')]);
  const { result, verdict, unknown } = outcome(turned, 'dial');
  expect([result, verdict]).toEqual(['failed', 'unchecked']);
  expect(unknown).toContain('the rotary switch of');
});

test('a rotary switch that was not read in moves by the one before', () => {
  const right = rightPlant(3, ['radio']);
  const module = right.get('module', settingOf(right, 'dial'))!;
  const { result, why } = outcome(changed(right, [set('module', module, ['dialRead'], false)]), 'dial');
  expect([result, why]).toEqual(['failed', expect.stringContaining('is not read in') as string]);
});

test('where the module assignment is gone nothing moves', () => {
  const right = rightPlant(3, ['remoteIo']);
  const landing = right.get('landing', settingOf(right, 'landing'))!;
  const without = changed(right, [{ kind: 'landing', id: landing.id, path: [], before: { ...landing } as never }]);
  expect(outcome(without, 'landing')).toMatchObject({
    result: 'failed',
    verdict: 'unchecked',
    unknown: 'the module assignment that it was made from is gone',
  });
});
