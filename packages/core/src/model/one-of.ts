import { ValidateBy } from 'class-validator';
import { isKeptText } from './kept-text.js';

/** One of these words, null, or text kept as it was typed because it is none of them. */
export function OneOfOrTyped(words: readonly string[]): PropertyDecorator {
  return ValidateBy({
    name: 'oneOfOrTyped',
    constraints: [words],
    validator: {
      validate: (value) => value === null || words.includes(value as string) || isKeptText(value),
      defaultMessage: () => `must be one of ${words.join(', ')}, or null`,
    },
  });
}
