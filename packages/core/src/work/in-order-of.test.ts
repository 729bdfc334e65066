import fc from 'fast-check';
import { inOrderOf } from './in-order-of.js';
import type { Edge } from './order-rule.js';

const KEYS = Array.from({ length: 9 }, (_, i) => `s${i}`);
const edge = fc.tuple(fc.nat(8), fc.nat(8)).map(([a, b]): Edge => ({ before: KEYS[a]!, after: KEYS[b]! }));
const forward = edge.map(({ before, after }) =>
  before < after ? { before, after } : { before: after, after: before },
);
const ruled = (edges: fc.Arbitrary<Edge>) =>
  fc
    .array(fc.array(edges, { maxLength: 8 }), { maxLength: 4 })
    .map((all) => all.map((one, i) => ({ why: `rule ${i}`, edges: one })));

/** Everything that must come before a key, by walking all edges. */
function ancestors(edges: readonly Edge[], key: string, seen = new Set<string>()): Set<string> {
  for (const { before, after } of edges) {
    if (after !== key || before === key || seen.has(before)) continue;
    seen.add(before);
    ancestors(edges, before, seen);
  }
  return seen;
}

test('each comes after all that it waits for, in the given order else; what is told is enough, and nothing of it is too much', () => {
  fc.assert(
    fc.property(ruled(forward), (rules) => {
      const edges = rules.flatMap((rule) => rule.edges);
      const { order, closed } = inOrderOf(KEYS, rules);
      expect(closed).toEqual([]);
      expect(order.map(({ key }) => key).sort()).toEqual(KEYS);
      const at = new Map(order.map(({ key }, i) => [key, i]));
      const told = order.flatMap(({ key, after }) => after.map((one): Edge => ({ before: one.key, after: key })));
      for (const { key, after, layer } of order) {
        const all = ancestors(edges, key);
        for (const before of all) expect(at.get(before)!).toBeLessThan(at.get(key)!);
        expect(ancestors(told, key)).toEqual(all);
        for (const one of after)
          expect(
            ancestors(
              told.filter((e) => !(e.before === one.key && e.after === key)),
              key,
            ).has(one.key),
          ).toBe(false);
        expect(layer).toBe(1 + Math.max(0, ...after.map((one) => order[at.get(one.key)!]!.layer)));
      }
      if (edges.length === 0) expect(order.map(({ key }) => key)).toEqual(KEYS);
    }),
  );
});

test('a circle is told with what closes it, and the wait of its last rule is left out; all else is in order', () => {
  const rules = [
    { why: 'first', edges: [{ before: 'a', after: 'b' }] },
    { why: 'second', edges: [{ before: 'b', after: 'c' }] },
    {
      why: 'last',
      edges: [
        { before: 'c', after: 'a' },
        { before: 'c', after: 'd' },
      ],
    },
  ];
  const { order, closed } = inOrderOf(['d', 'c', 'b', 'a'], rules);
  expect(order.map(({ key }) => key)).toEqual(['a', 'b', 'c', 'd']);
  expect(closed).toHaveLength(1);
  expect(new Map(closed[0]!.map(({ key, why }) => [key, why]))).toEqual(
    new Map([
      ['a', 'first'],
      ['b', 'second'],
      ['c', 'last'],
    ]),
  );
});

test('whatever circles there are, every key comes once', () => {
  fc.assert(
    fc.property(ruled(edge), (rules) => {
      expect(
        inOrderOf(KEYS, rules)
          .order.map(({ key }) => key)
          .sort(),
      ).toEqual(KEYS);
    }),
  );
});
