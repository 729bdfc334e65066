import fc from 'fast-check';
import { writeProject } from '../file/canonical.js';
import { randomEdit, THEMES, smallPlant } from '../testing/random-edits.testing.js';
import { applied, twoStations } from '../testing/two-stations.testing.js';
import type { Project } from '../model/project.js';
import { newStation } from '../create/new-entities.js';
import { apply, type Refusal } from './apply.js';
import { invert, type Change, type ChangeSet } from './change.js';
import { diff } from './diff.js';
import { dropWithDependents, put, set } from './make.js';

const setOf = (...changes: Change[]): ChangeSet => ({ id: 'set', label: 'test', changes });
const refusal = (project: Project, ...changes: Change[]): Refusal => {
  const result = apply(project, setOf(...changes));
  if (result.ok) throw new Error('it was taken');
  return result.refusal;
};

test('apply, then its inverse: the same file byte for byte, over random change sets', () => {
  const steps = fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { minLength: 1, maxLength: 12 });
  fc.assert(
    fc.property(steps, (edits) => {
      const start = smallPlant();
      let project = start;
      const done: ChangeSet[] = [];
      edits.forEach(([what, whose, value], i) => {
        const changes = randomEdit(project, THEMES[what % 3]!, what, whose, value, `fresh${i}`);
        const changeSet = { id: `c${i}`, label: '', changes: changes ?? [] };
        const result = apply(project, changeSet);
        if (!result.ok) return;
        const next = project.with(result.entities);
        expect(writeProject(applied(project, { id: 'd', label: '', changes: diff(project, next) }))).toBe(
          writeProject(next),
        );
        project = next;
        done.push(changeSet);
      });
      const end = writeProject(project);
      const undone = [...done].reverse().map((s, i) => invert(s, `u${i}`));
      for (const s of undone) project = applied(project, s);
      expect(writeProject(project)).toBe(writeProject(start));
      for (const s of [...undone].reverse()) project = applied(project, invert(s, 'r'));
      expect(writeProject(project)).toBe(end);
    }),
    { numRuns: 200 },
  );
});

test('a stored value that is not what was expected is a conflict, with both', () => {
  const change: Change = { kind: 'station', id: 'sa', path: ['name'], before: 'Old', after: 'New' };
  expect(refusal(twoStations(), change)).toMatchObject({ code: 'conflict', stored: 'A', change });
  expect(refusal(twoStations(), change).sentence).toBe('station sa, name: "A" is stored where "Old" was expected');
});

test('different fields of one entity do not collide', () => {
  const project = twoStations();
  const one = set('claim', project.get('claim', 'ca')!, ['name'], 'One');
  const two = set('claim', project.get('claim', 'ca')!, ['length', 'count'], 8);
  expect(applied(applied(project, setOf(one)), setOf(two)).get('claim', 'ca')).toMatchObject({
    name: 'One',
    length: { count: 8 },
  });
});

test('refuses what is not there, ids that are taken, and references that lead nowhere', () => {
  const project = twoStations();
  const station = newStation('sa', 1, 'Again');
  expect(refusal(project, { kind: 'station', id: 'nobody', path: ['name'], after: 'x' }).code).toBe('not there');
  expect(refusal(project, { kind: 'station', id: 'sa', path: ['layout', 'deep', 'er'], after: 'x' }).code).toBe(
    'not there',
  );
  expect(refusal(project, put('station', station)).code).toBe('id taken');
  expect(refusal(project, put('station', { ...station, id: 'net' })).code).toBe('id taken');
  expect(refusal(project, put('station', { ...station, id: 'new', profile: 'none' })).sentence).toBe(
    'station new, profile: there is no profile "none"',
  );
  expect(refusal(project, { kind: 'station', id: 'sa', path: ['id'], before: 'sa', after: 'sz' }).sentence).toBe(
    'station sa, id: an entity keeps its id, and "sz" was to be it',
  );
  expect(refusal(project, { ...put('station', { ...station, id: 'new' }), id: 'newer' }).code).toBe('id differs');
  const wrongKind = set('end', project.get('end', 'ea')!, ['station'], 'net');
  expect(refusal(project, wrongKind).code).toBe('dangling');
});

test('a set succeeds or fails whole', () => {
  const project = twoStations();
  const good = set('station', project.get('station', 'sa')!, ['name'], 'Good');
  expect(apply(project, setOf(good, { kind: 'lane', id: 'none', path: ['order'], before: 1, after: 2 })).ok).toBe(
    false,
  );
  expect(project.get('station', 'sa')?.name).toBe('A');
});

test('what others depend on is not dropped alone; the refusal says who', () => {
  const project = twoStations();
  const drop: Change = { kind: 'station', id: 'sa', path: [], before: project.get('station', 'sa') as never };
  expect(refusal(project, drop).sentence).toBe('station sa: port porta, area areaa, end ea depend on it');
});

test.each(['station', 'exchange', 'area', 'port', 'lane', 'end'] as const)(
  'a %s goes with all that depends on it, and one undo brings it back',
  (kind) => {
    const project = smallPlant();
    const [entity] = [...project.all(kind)];
    const changeSet = setOf(...dropWithDependents(project, kind, entity!.id));
    const after = applied(project, changeSet);
    expect(after.get(kind, entity!.id)).toBeUndefined();
    expect(writeProject(applied(after, invert(changeSet, 'undo')))).toBe(writeProject(project));
  },
);

test('an entity that is put twice in one set, and one changed after it was put', () => {
  const project = twoStations();
  const station = newStation('sn', 1, 'New');
  const renamed: Change = { kind: 'station', id: 'sn', path: ['name'], before: 'New', after: 'Newer' };
  expect(applied(project, setOf(put('station', station), renamed)).get('station', 'sn')?.name).toBe('Newer');
  expect(refusal(project, put('station', station), put('station', station)).code).toBe('id taken');
});
