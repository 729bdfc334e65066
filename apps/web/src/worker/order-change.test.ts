import fc from 'fast-check';
import { orderChange, orderedBy } from './order-change';

const keys = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 8 });

test('what is told of an order makes the next one, and no more than lies between what both have', () => {
  fc.assert(
    fc.property(keys, keys, keys, keys, (begin, end, before, after) => {
      const [one, other] = [
        [...begin, ...before, ...end],
        [...begin, ...after, ...end],
      ];
      const change = orderChange(one, other);
      expect(orderedBy(one, change)).toEqual(other);
      expect(change.keys.length).toBeLessThanOrEqual(after.length);
      expect(change.out).toBeLessThanOrEqual(before.length);
    }),
  );
});

test('an order that stays is the same list', () => {
  const order = ['a', 'b'];
  expect(orderedBy(order, orderChange(order, ['a', 'b']))).toBe(order);
});
