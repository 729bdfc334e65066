import { ValidateBy } from 'class-validator';
import { isTyped } from './as-typed.js';

/** One of these words, null, or text kept as it was typed because it is none of them. */
export function OneOfOrTyped(words: readonly string[]): PropertyDecorator {
  return ValidateBy({
    name: 'oneOfOrTyped',
    constraints: [words],
    validator: {
      validate: (value) =>
        value === null ||
        words.includes(value as string) ||
        (isTyped(value) && typeof value.typed === 'string' && Object.keys(value).length === 1),
      defaultMessage: () => `must be one of ${words.join(', ')}, or null`,
    },
  });
}
