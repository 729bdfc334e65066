import type { Reader } from '../model/project.js';
import { apply, type Refusal } from './apply.js';
import { invert, type Change, type ChangeSet } from './change.js';
import { overlapsPaths } from './overlap.js';

/** Whether a change set that was stored is why another one was refused: it changed the same, or dropped what that needs. */
export function isWhy(stored: ChangeSet, refusal: Refusal): boolean {
  if (refusal.code === 'dangling') return stored.changes.some((c) => c.id === refusal.target && drops(c));
  if (refusal.code === 'depended upon') {
    return stored.changes.some((c) => refusal.dependents.some(({ id }) => id === c.id));
  }
  return overlapsPaths({ id: '', label: '', changes: [refusal.change] }, stored);
}

/** Whether a refusal says that something is gone which the refused edits need. */
export const isGone = (refusal: Refusal): boolean => refusal.code === 'not there' || refusal.code === 'dangling';

const drops = ({ path, after }: Change): boolean => path.length === 0 && after === undefined;

/**
 * An edit over something that another change set dropped meanwhile: that one taken back, as a whole or, where more was
 * built on it since, only what it dropped; then the edit. Null where neither fits what is stored.
 */
export function withPutBack(reader: Reader, mine: ChangeSet, dropping: ChangeSet, id: string): ChangeSet | null {
  const back = invert(dropping, id).changes;
  for (const first of [back, back.filter((c) => c.path.length === 0 && c.before === undefined)]) {
    const set = { id, label: mine.label, changes: [...first, ...mine.changes] };
    if (first.length > 0 && apply(reader, set).ok) return set;
  }
  return null;
}
