import fc from 'fast-check';
import { matchNames, nearest } from './match.js';
import { NEAR_SCORES, nearKind } from '../../text/near.js';

test.each([
  ['Aisle_See_17', 'Aisle_See_17', 'same'],
  ['Aisle_See_17', 'Aisle_see_17', 'case'],
  ['Aisle_See_17', 'AisleSee17', 'separators'],
  ['Aisle.See-17', 'aisle see_17', 'separators'],
  ['Aisle_See_7', 'Aisle_See_07', 'width of digits'],
  ['Aisle_See_17', 'Aisle_Ese_17', 'transposed'],
  ['Aisle_See_17', 'Aisle_Sea_17', 'one letter'],
  ['Aisle_See_17', 'Aisle_Se_17', 'one letter'],
  // Another number is another point.
  ['Aisle_See_17', 'Aisle_See_18', null],
  ['Aisle_See_1', 'Aisle_See_11', null],
  ['Up', 'Us', null],
  ['Door', 'Gate', null],
] as const)('%s and %s: %s', (a, b, kind) => {
  expect(nearKind(a, b)).toBe(kind);
  expect(nearKind(b, a)).toBe(kind);
});

const list = (names: readonly string[], side: string) => names.map((name, i) => ({ id: `${side}${i}`, name }));

test('each of the left with one of the right, the surest first; what is left over stands on its side', () => {
  const left = ['Door_01', 'Door_2', 'Level', 'Lost'];
  const right = ['door_01', 'Door_02', 'Door_01', 'Levle', 'Extra'];
  const { pairs, left: overLeft, right: overRight } = matchNames(list(left, 'l'), list(right, 'r'));
  expect(pairs.map((p) => [p.left, p.right, p.kind])).toEqual([
    ['l0', 'r2', 'same'],
    ['l1', 'r1', 'width of digits'],
    ['l2', 'r3', 'transposed'],
  ]);
  expect([overLeft, overRight]).toEqual([['l3'], ['r0', 'r4']]);
});

const word = fc.stringMatching(/^[A-Ca-c_]{2,5}[0-3]{0,2}$/);

test('it finds every near pair that comparing all with all finds, and none besides', () => {
  fc.assert(
    fc.property(fc.array(word, { maxLength: 9 }), fc.array(word, { maxLength: 9 }), (left, right) => {
      const [a, b] = [list(left, 'l'), list(right, 'r')];
      const { pairs, left: overLeft, right: overRight } = matchNames(a, b);
      expect(pairs.length + overLeft.length).toBe(a.length);
      expect(pairs.length + overRight.length).toBe(b.length);
      expect(new Set(pairs.map((p) => p.right)).size).toBe(pairs.length);
      // Nothing near is left over on both sides.
      for (const l of overLeft) {
        for (const r of overRight) expect(nearKind(left[Number(l.slice(1))]!, right[Number(r.slice(1))]!)).toBeNull();
      }
      // The same name is never given away to something that is only near.
      for (const pair of pairs) {
        const name = left[Number(pair.left.slice(1))]!;
        if (pair.score < NEAR_SCORES.same) {
          expect(overRight.map((r) => right[Number(r.slice(1))])).not.toContain(name);
        }
      }
    }),
  );
});

test('the nearest names of a list, with in what they differ', () => {
  expect(nearest('Aisle_See_17', ['Aisle_See_18', 'Aisle_See_l7', 'aisle_see_17', 'Aisle_Sea_17'])).toEqual([
    { name: 'aisle_see_17', kind: 'case' },
    { name: 'Aisle_Sea_17', kind: 'one letter' },
  ]);
});

test('a long match can be stopped', () => {
  const names = Array.from({ length: 2000 }, (_, i) => `Quite_${i}_left`);
  const others = Array.from({ length: 2000 }, (_, i) => `Never_${i}_right`);
  const calls: number[] = [];
  const { pairs } = matchNames(list(names, 'l'), list(others, 'r'), (done) => {
    calls.push(done);
    return false;
  });
  expect([pairs, calls]).toEqual([[], [500]]);
});
