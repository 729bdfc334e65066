import type { ChangeSet } from '@dialoga/core/change';
import { editsBefore } from './fix-finding';

test('the edits before a finding are those up to the last one that was made when it was found', () => {
  const undo: ChangeSet[] = ['a', 'b', 'c'].map((id) => ({ id, label: id, changes: [] }));
  const ids = (since: string | undefined) => editsBefore(undo, since).map(({ id }) => id);
  expect([ids('b'), ids('c'), ids(undefined), ids('taken back')]).toEqual([['a', 'b'], ['a', 'b', 'c'], [], []]);
});
