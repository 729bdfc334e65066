import type { ChangeSet } from '@dialoga/core/change';
import { newId } from '../api/new-id';

/**
 * Edits that the server has not acknowledged are kept in the browser: over a reload, and over a server that is away.
 * Every window keeps its own under a name of its own, so that two windows on one project do not overwrite each other.
 */
const prefix = (project: string) => `dialoga.pending.${project}.`;
const thisWindow = newId();

/** Keeps these for this window; false where the browser has no room for them. */
export function keepEdits(project: string, sets: readonly ChangeSet[]): boolean {
  const key = prefix(project) + thisWindow;
  try {
    if (sets.length === 0) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(sets));
    return true;
  } catch {
    return false;
  }
}

/** What a window that is closed, or another one, has kept of a project. */
export interface Kept {
  sets: ChangeSet[];
  /** forgets them, unless their window has kept something else meanwhile */
  forget: () => void;
}

export function keptEdits(project: string): Kept[] {
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(prefix(project)));
  return keys.sort().flatMap((key) => {
    const text = localStorage.getItem(key);
    const forget = () => {
      if (localStorage.getItem(key) === text) localStorage.removeItem(key);
    };
    try {
      return [{ sets: JSON.parse(text ?? '[]') as ChangeSet[], forget }];
    } catch {
      forget();
      return [];
    }
  });
}
