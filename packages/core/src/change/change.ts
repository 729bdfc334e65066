import type { Kind } from '../model/kinds.js';

/** A plain JSON value: what fields hold and what travels. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/**
 * One small edit. The path leads into the entity; an empty path puts or drops the whole entity.
 * `before` or `after` that is not there means: nothing was there, nothing is to be there.
 */
export interface Change {
  kind: Kind;
  id: string;
  path: readonly string[];
  before?: Json;
  after?: Json;
}

/** A labelled group of changes that succeeds or fails whole. The id is made by whoever made the changes. */
export interface ChangeSet {
  id: string;
  label: string;
  changes: readonly Change[];
}

/** The same edits taken back, last first. */
export function invert(set: ChangeSet, id: string, label = set.label): ChangeSet {
  const changes = [...set.changes].reverse().map(({ kind, id: entity, path, before, after }) => {
    const inverse: Change = { kind, id: entity, path };
    if (after !== undefined) inverse.before = after;
    if (before !== undefined) inverse.after = before;
    return inverse;
  });
  return { id, label, changes };
}

const FIELD = /^[a-z]+(?:[A-Z][a-z]+)*$/;

/** The field that a path leads to, as one says it: `toldPlace` is “told place”. Keys of lists, which are ids, are left out. */
export function fieldWords(path: readonly string[]): string {
  const field = path.filter((part) => part !== 'typed' && FIELD.test(part)).at(-1) ?? '';
  return field.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);
}
