import type { Change } from './change.js';

const isBlank = (value: unknown) => value === undefined || value === null || value === '';

/** Alike to who reads it: a field that is empty, null or not there says the same. */
function isAlike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b) || (isBlank(a) && isBlank(b))) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) !== Array.isArray(b) || (Array.isArray(a) && a.length !== (b as unknown[]).length)) return false;
  const [x, y] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(x), ...Object.keys(y)])].every((key) => isAlike(x[key], y[key]));
}

/** Whether what is to be there is there already. An entity that is put or dropped always changes something. */
export const changesNothing = ({ path, before, after }: Change): boolean => path.length > 0 && isAlike(before, after);
