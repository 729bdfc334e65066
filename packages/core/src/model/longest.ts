import { declaredOf, type Class } from './declared.js';
import { CLASSES, type Kind } from './kinds.js';
import { LONGEST_TEXT, LONGEST_TYPED } from './lengths.js';

/**
 * How many characters a text field takes, as its class says. `path` leads to it, keys of lists and numbers of entries as
 * they are. What no class says anything of takes as much as any text.
 */
export function longestAt(kind: Kind, path: readonly string[]): number {
  if (path.at(-1) === 'typed') return LONGEST_TYPED;
  let type: Class = CLASSES[kind];
  for (let at = 0; at < path.length; at++) {
    const { longest, nested } = declaredOf(type);
    const inner = nested.find(({ field }) => field === path[at]);
    if (!inner) return longest.get(path[at]!) ?? LONGEST_TEXT;
    type = inner.type();
    if (inner.shape === 'record') at++;
  }
  return LONGEST_TEXT;
}
