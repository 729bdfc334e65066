import type { ChangeSet } from '@dialoga/core/change';
import { Project } from '@dialoga/core/model';
import { projectSlice, type ProjectState } from './project-slice';

const { actions, reducer } = projectSlice;
const project = Project.of({ project: [{ id: 'project', name: 'P' }] });
const set = (id: string): ChangeSet => ({ id, label: id, changes: [] });
type Step = Parameters<typeof reducer>[1];
const after = (...steps: Step[]): ProjectState => steps.reduce(reducer, reducer(undefined, { type: 'begin' }));
const opened = [actions.opening({ id: 'p', past: null }), actions.opened({ project, revision: 4 })];
const edited = (id: string, as: 'edit' | 'undo' | 'redo' = 'edit') => actions.edited({ project, set: set(id), as });
const ids = (sets: readonly ChangeSet[]) => sets.map((s) => s.id);

test('an edit waits until it is acknowledged, and can be undone', () => {
  const state = after(...opened, edited('a'), edited('b'));
  expect([ids(state.pending), ids(state.undo)]).toEqual([
    ['a', 'b'],
    ['a', 'b'],
  ]);
  const acknowledged = reducer(state, actions.acknowledged({ id: 'a', revision: 5 }));
  expect([acknowledged.revision, ids(acknowledged.pending), ids(acknowledged.undo)]).toEqual([5, ['b'], ['a', 'b']]);
});

test('an undo goes to redo, a redo back; a new edit ends redoing', () => {
  const undone = after(...opened, edited('a'), edited('a back', 'undo'));
  expect([ids(undone.undo), ids(undone.redo)]).toEqual([[], ['a back']]);
  const redone = reducer(undone, edited('a again', 'redo'));
  expect([ids(redone.undo), ids(redone.redo)]).toEqual([['a again'], []]);
  expect(ids(reducer(undone, edited('b')).redo)).toEqual([]);
});

test('an acknowledgement that comes before others’ revisions were fetched waits for them', () => {
  const state = after(...opened, edited('a'), actions.acknowledged({ id: 'a', revision: 7 }));
  expect([state.revision, state.ahead]).toEqual([4, ['a']]);
  const caught = [5, 6, 7].reduce(
    (s, revision) =>
      reducer(s, actions.received({ id: revision === 7 ? 'a' : `t${revision}`, revision, project: null })),
    state,
  );
  expect([caught.revision, caught.ahead]).toEqual([7, []]);
});

test('what meets another edit is no step to undo while it is asked about; once it is stored, it is again', () => {
  const state = after(...opened, edited('a'), edited('b'));
  const asked = reducer(
    state,
    actions.settled({ project, revision: 6, pending: [set('b')], aside: [{ set: set('a'), refusal: null }] }),
  );
  expect([ids(asked.undo), ids(asked.pending), asked.revision]).toEqual([['b'], ['b'], 6]);
  const stored = reducer(
    asked,
    actions.settled({ project, revision: 6, pending: [set('b'), set('a mine')], aside: [] }),
  );
  expect(ids(stored.undo)).toEqual(['b', 'a mine']);
});

test('an edit that the server will never take is no step to undo', () => {
  expect(ids(after(...opened, edited('a'), edited('b'), actions.dropped('a')).undo)).toEqual(['b']);
});

test('a past revision is said so, and another address begins anew', () => {
  const past = after(...opened, edited('a'), actions.opening({ id: 'p', past: 3 }));
  expect([past.past, past.status, past.pending]).toEqual([3, 'loading', []]);
  expect(after(...opened, actions.openFailed('gone'))).toMatchObject({ status: 'failed', error: 'gone' });
  expect(after(...opened, actions.closed(undefined as never)).project).toBeNull();
});
