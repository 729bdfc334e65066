import type { ChangeSet } from '@dialoga/core/change';
import { newId } from '../api/new-id';
import type { Kept } from '../sync/session';

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

/** What was read, by its key: forgotten only where its window has kept nothing else meanwhile. */
const seen = new Map<string, string>();

/** What windows have kept of a project, closed ones and others. */
export function keptEdits(project: string): Kept[] {
  const keys = Object.keys(localStorage).filter((key) => key.startsWith(prefix(project)));
  return keys.sort().flatMap((key) => {
    const text = localStorage.getItem(key) ?? '[]';
    const window = key.slice(prefix(project).length);
    seen.set(key, text);
    try {
      return [{ window, sets: JSON.parse(text) as ChangeSet[] }];
    } catch {
      forgetKept(project, window);
      return [];
    }
  });
}

/** Forgets what a window kept, unless it has kept something else meanwhile. */
export function forgetKept(project: string, window: string): void {
  const key = prefix(project) + window;
  if (window !== thisWindow && localStorage.getItem(key) === seen.get(key)) localStorage.removeItem(key);
}

interface Steps {
  undo: readonly ChangeSet[];
  redo: readonly ChangeSet[];
}

const stepsKey = (project: string) => `dialoga.steps.${project}`;
/** Characters that are kept of the steps of a window: of more, the oldest go. */
const MOST_CHARACTERS = 1_000_000;

/** What this window can undo and redo outlives its page: over a reload, and while another project is shown. */
export function rememberSteps(project: string, { undo, redo }: Steps): void {
  try {
    if (undo.length + redo.length === 0) sessionStorage.removeItem(stepsKey(project));
    else sessionStorage.setItem(stepsKey(project), `{"undo":${lastOf(undo)},"redo":${lastOf(redo)}}`);
  } catch {
    sessionStorage.removeItem(stepsKey(project));
  }
}

function lastOf(sets: readonly ChangeSet[]): string {
  const texts: string[] = [];
  let characters = 0;
  for (const set of [...sets].reverse()) {
    const text = JSON.stringify(set);
    characters += text.length;
    if (characters > MOST_CHARACTERS) break;
    texts.unshift(text);
  }
  return `[${texts.join(',')}]`;
}

/** What this window could undo and redo of a project when its page went. */
export function rememberedSteps(project: string): { undo: ChangeSet[]; redo: ChangeSet[] } {
  const text = sessionStorage.getItem(stepsKey(project));
  try {
    return text === null ? NO_STEPS : (JSON.parse(text) as { undo: ChangeSet[]; redo: ChangeSet[] });
  } catch {
    return NO_STEPS;
  }
}

const NO_STEPS = { undo: [], redo: [] };
