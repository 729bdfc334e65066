import { ValidateBy, type ValidationOptions } from 'class-validator';
import { Longest } from './declared.js';
import { isWellFormed, textLength } from './text-length.js';

/** A text of at most so many characters that UTF-8 can hold, counted once and the same everywhere: see `textLength`. */
export function AtMost(most: number, options?: ValidationOptions): PropertyDecorator {
  const checked = ValidateBy(
    {
      name: 'maxLength',
      constraints: [most],
      validator: {
        validate: (value) => typeof value === 'string' && textLength(value) <= most && isWellFormed(value),
        defaultMessage: (args) =>
          typeof args?.value === 'string' && !isWellFormed(args.value)
            ? 'must be whole characters: half of one cannot be stored'
            : `must have at most ${most} characters`,
      },
    },
    options,
  );
  const recorded = Longest(most);
  return (target, field) => {
    checked(target, field);
    recorded(target, field);
  };
}
