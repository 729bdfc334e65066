import fc from 'fast-check';
import { planCost, pollPlan, type PollCost, type PollItem } from './poll-plan.js';

const item = (id: string, start: number, length: number): PollItem => ({ id, start, length });

test('a gap is bridged where reading it costs less than another request, and not otherwise', () => {
  const items = [item('a', 0, 2), item('b', 10, 2), item('c', 100, 2)];
  expect(pollPlan(items, 125, { perRequest: 20, perUnit: 1 })).toEqual([
    { start: 0, length: 12, items: ['a', 'b'], bridged: 8 },
    { start: 100, length: 2, items: ['c'], bridged: 0 },
  ]);
  expect(pollPlan(items, 125, { perRequest: 7, perUnit: 1 })).toHaveLength(3);
  expect(pollPlan(items, 125, { perRequest: 1000, perUnit: 1 })).toHaveLength(1);
});

// [published: MODBUS Application Protocol V1.1b3, 6.3: at most 125 registers in a read] [from memory]
test('no request is longer than its protocol allows; what is longer itself is asked for in several', () => {
  const plan = pollPlan([item('long', 0, 300)], 125, { perRequest: 20, perUnit: 1 });
  expect(plan.map((r) => [r.start, r.length])).toEqual([
    [0, 125],
    [125, 125],
    [250, 50],
  ]);
  expect(plan.every((r) => r.items[0] === 'long')).toBe(true);
});

test('nothing to ask for is no request; the same register twice is asked for once', () => {
  expect(pollPlan([], 125, { perRequest: 1, perUnit: 1 })).toEqual([]);
  expect(pollPlan([item('a', 5, 2), item('b', 5, 2), item('c', 6, 1)], 125, { perRequest: 1, perUnit: 1 })).toEqual([
    { start: 5, length: 2, items: ['a', 'b', 'c'], bridged: 0 },
  ]);
});

/** Every way to part the items into requests, by trying all of them. */
function cheapest(items: readonly PollItem[], most: number, { perRequest, perUnit }: PollCost): number {
  const [first, ...rest] = items;
  if (!first) return 0;
  let least = Infinity;
  for (let with_ = 0; with_ < 1 << rest.length; with_++) {
    const group = [first, ...rest.filter((_, i) => with_ & (1 << i))];
    const others = rest.filter((_, i) => !(with_ & (1 << i)));
    const length = Math.max(...group.map((g) => g.start + g.length)) - Math.min(...group.map((g) => g.start));
    if (length > most) continue;
    least = Math.min(least, perRequest + perUnit * length + cheapest(others, most, { perRequest, perUnit }));
  }
  return least;
}

test('no other way to part them costs less: all of them tried', () => {
  const items = fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 1, max: 6 })), { maxLength: 6 });
  const cost = fc.record({ perRequest: fc.integer({ min: 0, max: 30 }), perUnit: fc.integer({ min: 0, max: 4 }) });
  fc.assert(
    fc.property(items, fc.integer({ min: 6, max: 25 }), cost, (list, most, costs) => {
      const asked = list.map(([start, length], i) => item(`i${i}`, start, length));
      const plan = pollPlan(asked, most, costs);
      expect(planCost(plan, costs)).toBe(cheapest(asked, most, costs));
      for (const { id, start, length } of asked) {
        const covered = plan.filter((r) => r.items.includes(id));
        expect(covered.some((r) => r.start <= start && start + length <= r.start + r.length)).toBe(true);
      }
      expect(plan.every((r) => r.length <= most)).toBe(true);
    }),
    { numRuns: 400 },
  );
});

test('two that are longer than a request share one: 260 registers need three reads of at most 125', () => {
  const plan = pollPlan([item('a', 0, 130), item('b', 130, 130)], 125, { perRequest: 20, perUnit: 1 });
  expect(plan.map((r) => [r.start, r.length, r.items])).toEqual([
    [0, 125, ['a']],
    [125, 125, ['a', 'b']],
    [250, 10, ['b']],
  ]);
});

/** Every way to read units one by one where something may be cut, and as a whole where not, by trying all requests. */
function cheapestCut(items: readonly PollItem[], most: number, { perRequest, perUnit }: PollCost): number {
  // A need is a stretch that has to stand in one request: an item, or each unit of a long one.
  const needs = items.flatMap(({ start, length }) =>
    length <= most ? [[start, start + length]] : Array.from({ length }, (_, i) => [start + i, start + i + 1]),
  );
  const known = new Map<string, number>();
  const rest = (left: readonly (readonly number[])[]): number => {
    if (left.length === 0) return 0;
    const key = left.join(';');
    const cached = known.get(key);
    if (cached !== undefined) return cached;
    const first = left.reduce((a, b) => (b[0]! < a[0]! ? b : a));
    let least = Infinity;
    for (let from = Math.max(0, first[1]! - most); from <= first[0]!; from++) {
      for (let to = first[1]!; to <= from + most; to++) {
        const others = left.filter(([a, b]) => a! < from || b! > to);
        least = Math.min(least, perRequest + perUnit * (to - from) + rest(others));
      }
    }
    known.set(key, least);
    return least;
  };
  return rest(needs);
}

test('where something is longer than a request, no other way to cut and part costs less: all of them tried', () => {
  const items = fc.array(fc.tuple(fc.integer({ min: 0, max: 12 }), fc.integer({ min: 1, max: 7 })), {
    minLength: 1,
    maxLength: 4,
  });
  const cost = fc.record({ perRequest: fc.integer({ min: 0, max: 9 }), perUnit: fc.integer({ min: 0, max: 3 }) });
  fc.assert(
    fc.property(items, fc.integer({ min: 2, max: 4 }), cost, (list, most, costs) => {
      const asked = list.map(([start, length], i) => item(`i${i}`, start, length));
      const plan = pollPlan(asked, most, costs);
      expect(planCost(plan, costs)).toBe(cheapestCut(asked, most, costs));
      expect(plan.every((r) => r.length <= most)).toBe(true);
    }),
    { numRuns: 150 },
  );
});
