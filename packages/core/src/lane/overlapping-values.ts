import { elementary } from '../data/types.js';
import type { Value } from './difference.js';

/** A number of several registers, as opposed to bits and bit strings, which are often named a second time. */
function isLongNumber(value: Value): boolean {
  const type = elementary(value.type.base);
  return type !== null && type.bits >= 32 && type.family !== 'bit string';
}

const isNumber = (value: Value): boolean => {
  const family = elementary(value.type.base)?.family;
  return family !== 'bool' && family !== 'bit string';
};

/**
 * Numbers of several registers into which the next value of the same claim begins, first to last. Bits and bit strings
 * over a number are another view of it, and no fault.
 */
export function overlappingNeighbour(values: ReadonlyMap<string, Value>): { value: Value; neighbour: Value }[] {
  if (values.size < 2) return [];
  const found: { value: Value; neighbour: Value }[] = [];
  const numbers = [...values.values()].filter(isNumber).sort((a, b) => a.offset - b.offset);
  for (const [i, neighbour] of numbers.entries()) {
    const value = numbers[i - 1];
    if (!value || neighbour.offset >= value.offset + value.size) continue;
    if (isLongNumber(value) || isLongNumber(neighbour)) found.push({ value, neighbour });
  }
  return found;
}
