import fc from 'fast-check';
import { newArea } from '../create/new-entities.js';
import { nextFree, Occupancy, sharedSpan, uncovered, type Use } from './occupancy.js';
import { joined, type Span } from '../place/resolve.js';

const span = fc
  .tuple(fc.nat(5000), fc.integer({ min: 1, max: 300 }))
  .map(([start, length]): Span => ({ start, end: start + length }));
const spans = fc.array(span, { minLength: 1, maxLength: 3 });
const uses = fc.array(fc.tuple(fc.constantFrom('a', 'b'), spans, fc.boolean()), { minLength: 1, maxLength: 25 });

const use = (id: string, area: string, list: Span[], puts: boolean): Use => ({
  id,
  of: 'claim',
  area,
  spans: list,
  puts,
  takes: !puts,
});
const bitsOf = (list: readonly Span[]) =>
  new Set(list.flatMap(({ start, end }) => Array.from({ length: end - start }, (_, i) => start + i)));

test('who overlaps whom is what comparing everybody with everybody gives, also after moves', () => {
  fc.assert(
    fc.property(uses, uses, (first, second) => {
      const occupancy = new Occupancy();
      const all = new Map<string, Use>();
      for (const list of [first, second]) {
        list.forEach(([area, s, puts], i) => {
          const next = use(`c${i}`, area, s, puts);
          occupancy.set(next.id, next);
          all.set(next.id, next);
        });
      }
      for (const one of all.values()) {
        const brute = [...all.values()].filter((o) => o !== one && o.area === one.area && sharedSpan(one, o));
        expect(new Set(occupancy.overlapping(one))).toEqual(new Set(brute));
      }
      const [gone] = all.keys();
      occupancy.set(gone!, null);
      for (const one of all.values()) expect(occupancy.overlapping(one).some((o) => o.id === gone)).toBe(false);
      expect(occupancy.inArea('a')).toHaveLength(
        [...all.values()].filter((u) => u.area === 'a' && u.id !== gone).length,
      );
    }),
  );
});

test('the shared span is the first bits that both have', () => {
  fc.assert(
    fc.property(spans, spans, (a, b) => {
      const shared = sharedSpan(use('a', 'x', a, true), use('b', 'x', b, true));
      const both = [...bitsOf(a)].filter((bit) => bitsOf(b).has(bit));
      if (!shared) return expect(both).toEqual([]);
      for (let bit = shared.start; bit < shared.end; bit++) expect(both).toContain(bit);
    }),
    { numRuns: 60 },
  );
});

test('what is left uncovered, and what covers it, are the whole', () => {
  fc.assert(
    fc.property(spans, spans, (a, b) => {
      const [whole, by] = [joined(a), joined(b)];
      const left = bitsOf(uncovered(whole, by));
      const expected = [...bitsOf(whole)].filter((bit) => !bitsOf(by).has(bit));
      expect([...left].sort((x, y) => x - y)).toEqual(expected.sort((x, y) => x - y));
    }),
    { numRuns: 60 },
  );
});

describe('the next free place', () => {
  const area = { ...newArea('a', 1, 's', 'Memory'), words: 100 };

  test('is the word after everything used', () => {
    expect(nextFree(area, [{ start: 0, end: 40 }])).toBe(48);
    expect(nextFree(area, [])).toBe(0);
  });

  test('leaves out what is reserved, and is none where the area is full', () => {
    const reserved = { ...area, reservations: { r: { order: 1, start: 48, length: 32, owner: 'module' } } };
    expect(nextFree(reserved, [{ start: 0, end: 48 }])).toBe(80);
    expect(nextFree(area, [{ start: 0, end: 1600 }])).toBeNull();
  });
});
