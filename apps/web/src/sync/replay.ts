import { apply, entityChanges, isWhy, overlapsPaths, type Change, type ChangeSet } from '@dialoga/core/change';
import type { Kind, Project } from '@dialoga/core/model';
import type { JournalEntry } from '../api/client';
import type { Aside } from './session';

/** What became of edits that were made anew on top of another project. */
export interface Replayed {
  project: Project;
  /** those that fit, in order */
  fitting: ChangeSet[];
  aside: Aside[];
}

/**
 * Makes edits anew on top of what is stored. One that no longer fits is set aside, with later ones on its paths, and with
 * what was stored meanwhile that it meets; all others go on.
 */
export function replay(
  base: Project,
  queue: readonly ChangeSet[],
  before: readonly Aside[],
  stored: readonly JournalEntry[] = [],
): Replayed {
  let project = base;
  const fitting: ChangeSet[] = [];
  const aside = [...before];
  for (const set of queue) {
    if (aside.some((one) => overlapsPaths(set, one.set))) {
      aside.push({ set, refusal: null });
      continue;
    }
    const applied = apply(project, set);
    if (applied.ok) {
      project = project.with(applied.entities);
      fitting.push(set);
      continue;
    }
    const { refusal } = applied;
    const met = stored.findLast((entry) => isWhy(entry.set, refusal));
    aside.push({ set, refusal, ...(met ? { met } : {}) });
  }
  return { project, fitting, aside };
}

/** The changes that lead from one project to another that differs from it only in what these change sets touch. */
export function changesBetween(from: Project, to: Project, touching: readonly ChangeSet[]): Change[] {
  const touched = new Map<string, { kind: Kind; id: string }>();
  for (const { changes } of touching) for (const { kind, id } of changes) touched.set(`${kind} ${id}`, { kind, id });
  return [...touched.values()].flatMap(({ kind, id }) => {
    const [before, after] = [from.get(kind, id), to.get(kind, id)];
    return before === after ? [] : entityChanges(kind, before, after);
  });
}
