import { editsBefore } from './edits-before';

test('the edits before a finding are those up to the last one that was made when it was found', () => {
  const of = (since: string | undefined) => editsBefore(['a', 'b', 'c'], since);
  expect([of('b'), of('c'), of(undefined), of('taken back')]).toEqual([['a', 'b'], ['a', 'b', 'c'], [], []]);
});
