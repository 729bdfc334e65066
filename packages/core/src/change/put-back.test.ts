import { edited, twoStations, without, applied } from '../testing/two-stations.testing.js';
import { writeProject } from '../file/canonical.js';
import type { Project } from '../model/project.js';
import { apply, type Refusal } from './apply.js';
import type { ChangeSet } from './change.js';
import { dropWithDependents } from './make.js';
import { withStoredBefore } from './merge.js';
import { isGone, isWhy, withPutBack } from './put-back.js';

const start = twoStations();
const dropping = (project: Project, kind: 'lane' | 'station' | 'claim', id: string): ChangeSet => ({
  id: `drop-${id}`,
  label: `Drop ${id}`,
  changes: dropWithDependents(project, kind, id),
});
const refusalOf = (project: Project, set: ChangeSet): Refusal => {
  const result = apply(project, set);
  if (result.ok) throw new Error('it was taken');
  return result.refusal;
};
const renaming: ChangeSet = {
  id: 'mine',
  label: 'Rename block',
  changes: [{ kind: 'claim', id: 'cb', path: ['name'], before: 'Block cb', after: 'Mine' }],
};

test('an edit of something that was dropped: the drop is taken back whole, then the edit is made', () => {
  const dropped = applied(start, dropping(start, 'lane', 'lane'));
  const refusal = refusalOf(dropped, renaming);
  expect([refusal.code, isGone(refusal)]).toEqual(['not there', true]);
  expect(isWhy(dropping(start, 'lane', 'lane'), refusal)).toBe(true);
  expect(isWhy({ id: 'o', label: '', changes: [{ kind: 'claim', id: 'ca', path: ['name'] }] }, refusal)).toBe(false);
  const set = withPutBack(dropped, renaming, dropping(start, 'lane', 'lane'), 'new')!;
  expect([set.id, set.label]).toEqual(['new', 'Rename block']);
  expect(writeProject(applied(dropped, set))).toBe(writeProject(applied(start, renaming)));
});

test('an edit that names something that was dropped: it dangles, and the drop is why', () => {
  const without = applied(start, dropping(start, 'station', 'sb'));
  const port = { ...start.get('port', 'portb')!, id: 'portb2', address: '10.0.0.3' };
  const mine: ChangeSet = {
    id: 'm',
    label: 'New port',
    changes: [{ kind: 'port', id: port.id, path: [], after: port as never }],
  };
  const refusal = refusalOf(without, mine);
  expect([refusal.code, isGone(refusal)]).toEqual(['dangling', true]);
  expect(isWhy(dropping(start, 'station', 'sb'), refusal)).toBe(true);
  const after = applied(without, withPutBack(without, mine, dropping(start, 'station', 'sb'), 'n')!);
  expect(after.get('port', 'portb2')?.station).toBe('sb');
  expect(after.get('end', 'ea')?.told).toEqual(start.get('end', 'ea')?.told);
});

test('where more was built on the drop since, only what it dropped comes back', () => {
  const drop = dropping(start, 'claim', 'cb');
  // Emptying a field that was changed since cannot be taken back; the dropped claim can.
  const both: ChangeSet = {
    ...drop,
    changes: [...drop.changes, { kind: 'station', id: 'sa', path: ['name'], before: 'A', after: 'Other' }],
  };
  const since = edited(applied(start, both), ['station', 'sa', 'name', 'Later']);
  const after = applied(since, withPutBack(since, renaming, both, 'n')!);
  expect([after.get('claim', 'cb')?.name, after.get('station', 'sa')?.name]).toEqual(['Mine', 'Later']);
});

test('where what it needs is gone as well, nothing can be put back', () => {
  const drop = dropping(start, 'claim', 'cb');
  const later = applied(applied(start, drop), dropping(applied(start, drop), 'lane', 'lane'));
  expect(withPutBack(later, renaming, drop, 'n')).toBeNull();
  expect(withPutBack(later, renaming, { id: 'e', label: '', changes: [] }, 'n')).toBeNull();
});

test('a drop of something on which others build now: it goes with them', () => {
  const mine = dropping(without(start, 'claim', 'cb'), 'lane', 'lane');
  const refusal = refusalOf(start, mine);
  expect([refusal.code, isGone(refusal)]).toEqual(['depended upon', false]);
  const adding: ChangeSet = { id: 'a', label: '', changes: [{ kind: 'claim', id: 'cb', path: [] }] };
  expect(isWhy(adding, refusal)).toBe(true);
  const after = applied(start, withStoredBefore(start, mine, 'n')!);
  expect([after.get('lane', 'lane'), after.get('claim', 'ca'), after.get('claim', 'cb')]).toEqual([
    undefined,
    undefined,
    undefined,
  ]);
});

test('a value that somebody else changed is no reason to put anything back', () => {
  const theirs = edited(start, ['claim', 'cb', 'name', 'Theirs']);
  const refusal = refusalOf(theirs, renaming);
  expect([refusal.code, isGone(refusal)]).toEqual(['conflict', false]);
  const stored: ChangeSet = {
    id: 't',
    label: '',
    changes: [{ kind: 'claim', id: 'cb', path: ['name'], after: 'Theirs' }],
  };
  expect(isWhy(stored, refusal)).toBe(true);
  expect(isWhy({ ...stored, changes: [{ kind: 'claim', id: 'cb', path: ['length'] }] }, refusal)).toBe(false);
});
