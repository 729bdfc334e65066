import { withBoth, withPutBack, withStoredBefore, type ChangeSet, type Refusal } from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import type { Choice, Step } from './happening';
import { remade } from './news';
import { replay } from './replay';
import type { Aside, Session } from './session';

/** Settles the first edit that was set aside, as the user chose; those that waited behind it are tried again. */
export function settled(session: Session, choice: Choice, id: string): Step {
  const [asked, ...rest] = session.aside;
  const { base, ahead, pending } = session;
  if (!asked || !base) return [session, []];
  const stored = replay(base, ahead, []).project;
  const made = choice === 'theirs' ? null : editFor(choice, stored, asked, id);
  const behind = rest.map(({ set }) => set);
  const left: Aside[] = choice === 'theirs' || made ? [] : [asked];
  const queue = [...(made ? [made] : []), ...behind, ...pending];
  const [next, effects] = remade(session, { pending: queue, aside: left }, [...ahead, ...queue, asked.set]);
  const stays = next.aside[0]?.set.id === asked.set.id;
  const notice = 'What this edit was made to is gone, so it cannot be stored.';
  return [stays ? { ...next, notice } : next, effects];
}

/** The edit as it is to be stored by a choice; null where that cannot be. */
export function editFor(
  choice: Exclude<Choice, 'theirs'>,
  stored: Project,
  asked: Aside,
  id: string,
): ChangeSet | null {
  switch (choice) {
    case 'mine':
      return withStoredBefore(stored, asked.set, id);
    case 'both':
      return withBoth(stored, asked.set, id);
    case 'put back':
      return asked.met ? withPutBack(stored, asked.set, asked.met.set, id) : null;
  }
}

/** Whether both can stand: two additions to one list. */
export function canKeepBoth(project: Project, set: ChangeSet, refusal: Refusal): boolean {
  return refusal.code === 'conflict' && withBoth(project, set, set.id) !== null;
}
