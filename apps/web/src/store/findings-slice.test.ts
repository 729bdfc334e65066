import type { Accepted, LaneResult } from '@dialoga/core/check';
import type { Finding } from '@dialoga/core/finding';
import type { Checked } from '../worker/checker.worker';
import { findingsSlice, type FindingsState } from './findings-slice';

const { actions, reducer } = findingsSlice;
const finding = (key: string) => ({ key }) as Finding;
const lane = (verdict: LaneResult['verdict']) => ({ verdict }) as LaneResult;
/** What the worker tells; `order` whole, which is a change of all that was there. */
const told = ({ order = [], ...rest }: Partial<Omit<Checked, 'order'>> & { order?: string[] | null }): Checked => ({
  findings: [],
  lanes: [],
  order: order && { from: 0, out: 99, keys: order },
  accepted: [],
  rehearsed: null,
  observed: null,
  left: 0,
  ...rest,
});
const opened = (...keys: string[]): FindingsState =>
  reducer(
    undefined,
    actions.reopened(
      told({ findings: keys.map((key) => [key, finding(key)]), order: keys, lanes: [['l', lane('agreed')]] }),
    ),
  );

test('nothing is known until the first check is through', () => {
  const begun = reducer(undefined, { type: 'begin' });
  expect([begun.ready, begun.byKey.size, begun.order]).toEqual([false, 0, []]);
  expect(opened('a').ready).toBe(true);
  expect(reducer(opened('a'), actions.cleared()).ready).toBe(false);
});

test('an edit’s answer puts, replaces and takes out; what it does not name stays as it was, the very same', () => {
  const before = opened('a', 'b');
  const after = reducer(
    before,
    actions.checked(
      told({
        findings: [
          ['b', null],
          ['c', finding('c')],
        ],
        order: ['a', 'c'],
        lanes: [['l', lane('differs')]],
      }),
    ),
  );
  expect([...after.byKey.values()].map((f) => f.key).sort()).toEqual(['a', 'c']);
  expect(after.byKey.get('a')).toBe(before.byKey.get('a'));
  expect([after.order, after.lanes.get('l')?.verdict]).toEqual([['a', 'c'], 'differs']);
  expect(before.byKey.size).toBe(2);
});

test('an answer that changes no finding leaves the table itself, so that nothing is drawn anew for it', () => {
  const before = opened('a');
  const after = reducer(before, actions.checked(told({ order: ['a'] })));
  expect(after.byKey).toBe(before.byKey);
  expect(after.lanes).toBe(before.lanes);
});

test('between slices the order is the one before; how much is left is said', () => {
  const after = reducer(
    opened('a', 'b'),
    actions.checked(told({ findings: [['c', finding('c')]], order: null, left: 40 })),
  );
  expect([after.order, after.left, after.byKey.size]).toEqual([['a', 'b'], 40, 3]);
  const last = reducer(after, actions.checked(told({ order: ['c', 'a', 'b'] })));
  expect([last.order, last.left]).toEqual([['c', 'a', 'b'], 0]);
});

test('the finding of the line stays while it is there; mended, the one in its place follows, at the end the last', () => {
  const at = (state: FindingsState, key: string) => reducer(state, actions.chosen(key));
  const mended = (state: FindingsState, key: string, order: string[]) =>
    reducer(state, actions.checked(told({ findings: [[key, null]], order }))).current;
  expect(mended(at(opened('a', 'b', 'c'), 'b'), 'a', ['b', 'c'])).toBe('b');
  expect(mended(at(opened('a', 'b', 'c'), 'b'), 'b', ['a', 'c'])).toBe('c');
  expect(mended(at(opened('a', 'b', 'c'), 'c'), 'c', ['a', 'b'])).toBe('b');
  expect(mended(at(opened('a'), 'a'), 'a', [])).toBeNull();
});

test('a check that could not go on leaves nothing waiting; opening again begins anew', () => {
  const waiting = reducer(opened('a'), actions.checked(told({ order: null, left: 9 })));
  expect(reducer(waiting, actions.gaveUp()).left).toBe(0);
  const again = reducer(
    reducer(waiting, actions.chosen('a')),
    actions.reopened(told({ order: ['z'], findings: [['z', finding('z')]] })),
  );
  expect([again.current, again.order, again.byKey.size, again.lanes.size]).toEqual([null, ['z'], 1, 0]);
});

test('of what is found it is known after which own edit; not of what was there, nor of what somebody else brought', () => {
  const found = (state: FindingsState, key: string, edit: string | undefined) =>
    reducer(state, actions.checked({ ...told({ findings: [[key, finding(key)]], order: null }), edit }));
  const mine = found(opened('a'), 'b', 'edit 7');
  expect([mine.since.get('a'), mine.since.get('b')]).toEqual([undefined, 'edit 7']);
  // Found again with other words, it is since then all the same.
  expect(found(mine, 'b', 'edit 8').since.get('b')).toBe('edit 7');
  expect(found(mine, 'c', undefined).since.has('c')).toBe(false);
  const gone = reducer(mine, actions.checked(told({ findings: [['b', null]], order: null })));
  expect(gone.since.has('b')).toBe(false);
});

test('acceptances are told as they come and go; what is not named stays', () => {
  const accepted = (name: string) => ({ acceptance: { name }, lapsed: false }) as Accepted;
  const two = reducer(
    opened('a', 'b'),
    actions.checked(
      told({
        accepted: [
          ['a', accepted('A')],
          ['b', accepted('B')],
        ],
      }),
    ),
  );
  expect(Object.keys(two.accepted)).toEqual(['a', 'b']);
  const one = reducer(two, actions.checked(told({ accepted: [['a', null]] })));
  expect(one.accepted).toEqual({ b: accepted('B') });
  expect(reducer(one, actions.checked(told({}))).accepted).toBe(one.accepted);
});
