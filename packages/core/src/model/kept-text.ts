import { LONGEST_TYPED } from './lengths.js';
import { isWellFormed, textLength } from './text-length.js';

/** Whether a value is text kept as it was typed, and nothing else: `{ typed }`, of bounded length. */
export const isKeptText = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length === 1 &&
  'typed' in value &&
  typeof value.typed === 'string' &&
  textLength(value.typed) <= LONGEST_TYPED &&
  isWellFormed(value.typed);
