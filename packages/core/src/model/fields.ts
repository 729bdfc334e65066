import { LONGEST_NAME, LONGEST_TEXT } from './lengths.js';
import { IsInt, IsOptional, IsString, Matches, Max, Min } from 'class-validator';
import { AtMost } from './at-most.js';

/**
 * Ids come from outside the core, are never reused, start with a letter and are unique in the whole project. What every
 * object has by itself is none: a list would seem to have such an entry without having one.
 */
export const ID_PATTERN =
  /^(?!(?:constructor|hasOwnProperty|isPrototypeOf|propertyIsEnumerable|toLocaleString|toString|valueOf)$)[A-Za-z][A-Za-z0-9-]{0,63}$/;

export const IsId = () =>
  applyDecorators(
    IsString({ message: 'must be an id: a letter, then letters, digits and hyphens' }),
    Matches(ID_PATTERN, { message: 'must be an id: a letter, then at most 63 letters, digits and hyphens' }),
  );

export const IsName = () => applyDecorators(IsString({ message: 'must be text' }), AtMost(LONGEST_NAME));

export const IsText = () => applyDecorators(IsOptional(), IsString({ message: 'must be text' }), AtMost(LONGEST_TEXT));

/** The order key: a number that places an entity among its siblings. */
export const IsOrder = () => applyDecorators(IsInt({ message: 'must be a whole number' }), Min(-1e12), Max(1e12));

/** Several property decorators as one. */
export function applyDecorators(...decorators: PropertyDecorator[]): PropertyDecorator {
  return (target, key) => {
    for (const decorate of decorators) decorate(target, key);
  };
}
