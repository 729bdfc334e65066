import { writeProject } from '../file/canonical.js';
import { readProject } from '../file/read-project.js';
import { newEnd, newExchange } from '../create/new-entities.js';
import { childrenOf } from '../model/order.js';
import type { Project } from '../model/project.js';
import { smallPlant } from '../testing/random-edits.testing.js';
import { added, applied, codesOf, edited, theFinding, wordsOf } from '../testing/two-stations.testing.js';
import { CheckEngine } from '../check/engine.js';
import { planMove } from '../hardware/move-module.js';
import { lanesFromLandings } from './remote-io.js';

/** A, who owns two output modules of D of two bytes each, and D. */
function remote(): Project {
  const cyclic = { transfer: 'cyclic blocks', kind: 'remote I/O', onLoss: { sinks: 'go to zero' } } as const;
  const project = added(smallPlant(), 'exchange', { ...newExchange('io', 50, 'Modules', 'other'), ...cyclic });
  return added(
    project,
    'end',
    newEnd('ioa', 10, 'io', 'sa', 'porta', 'calls'),
    newEnd('iod', 20, 'io', 'sd', null, 'listens'),
  );
}
let n = 0;
const changesOf = (project: Project) =>
  lanesFromLandings(project, project.get('exchange', 'io')!, () => `io${String(n++).padStart(4, '0')}`);
const made = (project: Project) => applied(project, { id: `c${n++}`, label: '', changes: changesOf(project) });
const lanes = (project: Project) =>
  childrenOf(project, 'lane', 'io').map(({ id, madeBy }) => ({
    madeBy,
    claims: childrenOf(project, 'claim', id).map(({ end, direction, place, length }) => {
      return [end, direction, (place as { number: number }).number, length];
    }),
  }));

test('one lane for the outputs of each module, from where it lands to its bytes in the head’s image', () => {
  const two = { count: 2, unit: 8 };
  expect(lanes(made(remote()))).toEqual([
    {
      madeBy: 'landing l2 outputs',
      claims: [
        ['ioa', 'writes', 700, two],
        ['iod', 'reads', 0, two],
      ],
    },
    {
      madeBy: 'landing l3 outputs',
      claims: [
        ['ioa', 'writes', 702, two],
        ['iod', 'reads', 2, two],
      ],
    },
  ]);
  const verdicts = [...new CheckEngine(made(remote())).laneResults].filter(([id]) => id.startsWith('io'));
  expect(verdicts.map(([, r]) => r.verdict)).toEqual(['agreed', 'agreed']);
});

test('made once, nothing is left to follow; a landing that moves, grows or goes is followed', () => {
  const project = made(remote());
  expect(changesOf(project)).toEqual([]);
  const moved = made(edited(project, ['landing', 'l3', 'outputsAt', { area: 'areaa', view: 'va', number: 720 }]));
  expect(lanes(moved)[1]?.claims[0]?.[2]).toBe(720);
  const larger = made(edited(project, ['module', 'm2', 'outputs', 4], ['landing', 'l2', 'outputs', 4]));
  expect(lanes(larger).map((l) => l.claims[1]?.slice(2))).toEqual([
    [0, { count: 4, unit: 8 }],
    [4, { count: 2, unit: 8 }],
  ]);
  expect(lanes(made(edited(project, ['landing', 'l3', 'role', 'listener'])))).toHaveLength(1);
  // What was typed besides stays.
  const named = edited(project, [
    'claim',
    project.referrers('claim', project.referrers('lane', 'io')[0]!)[0]!,
    'name',
    'Fans',
  ]);
  expect(changesOf(named)).toEqual([]);
});

test('lanes that are bound to the range of a module are named before it moves, and move along', () => {
  const project = edited(made(remote()), ['rack', 'rack', 'addressesFollow', true], ['rack', 'rack', 'gaps', true]);
  const rack = project.get('rack', 'rack')!;
  const plan = planMove(project, rack, { ...project.get('module', 'm2')!, id: 'fresh', slot: null }, 1, 'lfresh');
  if (typeof plan === 'string') throw new Error(plan);
  expect(plan.bound.map((b) => [b.where, b.before])).toEqual([['Modules', 'a700']]);
  const after = applied(project, { id: 'm', label: '', changes: plan.changes(true) });
  expect(codesOf(after).filter((c) => c.startsWith('SIZ') || c.startsWith('HWS 9'))).toEqual([]);
});

test('DIR 7: lanes that no longer follow their landings are a Doubt until they do', () => {
  const project = made(remote());
  expect(codesOf(project)).not.toContain('DIR 7');
  const moved = edited(project, ['landing', 'l3', 'outputsAt', { area: 'areaa', view: 'va', number: 720 }]);
  expect(wordsOf(theFinding(moved, 'DIR 7'))).toContain('its lanes no longer follow the module assignments');
  expect(codesOf(made(moved))).not.toContain('DIR 7');
});

test('lanes read from a file follow as they did before it was written', () => {
  const project = made(remote());
  const read = readProject(writeProject(project));
  if (!read.ok) throw new Error('the file cannot be read');
  expect(changesOf(read.project)).toEqual([]);
});
