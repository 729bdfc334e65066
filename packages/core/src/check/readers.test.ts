import fc from 'fast-check';
import { Readers } from './readers.js';

test('whatever is added and removed, the readers are those of a plain list', () => {
  const unit = fc.integer({ min: 0, max: 30 });
  const step = fc.record({ add: fc.boolean(), read: fc.constantFrom('a', 'b'), unit });
  const units = Array.from({ length: 31 }, (_, id) => ({ id }));
  fc.assert(
    fc.property(fc.array(step, { maxLength: 120 }), (steps) => {
      const readers = new Readers<{ id: number }>();
      const plain: Record<string, { id: number }[]> = { a: [], b: [] };
      for (const { add, read, unit: id } of steps) {
        const one = units[id]!;
        const has = plain[read]!.includes(one);
        if (add && !has) {
          readers.add(read, one);
          plain[read]!.push(one);
        } else if (!add) {
          readers.remove(read, one);
          plain[read] = plain[read]!.filter((u) => u !== one);
        }
        for (const key of ['a', 'b']) {
          expect([...readers.of(key)].map((u) => u.id).sort()).toEqual(plain[key]!.map((u) => u.id).sort());
        }
      }
      expect([...readers.of('never read')]).toEqual([]);
    }),
  );
});
