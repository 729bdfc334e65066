import fc from 'fast-check';
import { Table } from './table.js';

const edits = fc.array(
  fc.tuple(fc.constantFrom('a', 'b', 'c', 'd', 'aa', 'ab'), fc.option(fc.nat(), { nil: undefined })),
  { maxLength: 40 },
);

test('is a map that leaves its earlier versions as they were [library: JavaScript Map]', () => {
  fc.assert(
    fc.property(edits, edits, (first, second) => {
      const model = new Map<string, number>();
      const run = (list: typeof first) => {
        for (const [id, value] of list)
          if (value === undefined) model.delete(id);
          else model.set(id, value);
      };
      run(first);
      const table = Table.empty<number>().with(first);
      const early = new Map(model);
      run(second);
      const later = table.with(second);
      expect(new Map(table.entries())).toEqual(early);
      expect(table.size).toBe(early.size);
      expect(new Map(later.entries())).toEqual(model);
      expect(later.size).toBe(model.size);
      for (const id of ['a', 'b', 'zz']) expect(later.get(id)).toBe(model.get(id));
    }),
  );
});
