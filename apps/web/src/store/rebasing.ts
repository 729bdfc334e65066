import {
  apply,
  isWhy,
  overlapsPaths,
  withBoth,
  withPutBack,
  withStoredBefore,
  type ChangeSet,
  type Refusal,
} from '@dialoga/core/change';
import type { Project } from '@dialoga/core/model';
import { api, type JournalEntry } from '../api/client';
import { checker, openInChecker } from '../worker/checker';
import { checkRest } from './checking';
import { keep } from './editing';
import { findingsSlice } from './findings-slice';
import { newId } from '../api/new-id';
import { projectFromBytes } from '../api/opened';
import { projectSlice, type Aside } from './project-slice';
import { send } from './sending';
import type { Thunk } from './store';

const { noticed, settled } = projectSlice.actions;
const { checked, reopened } = findingsSlice.actions;

interface Rebase {
  /** edits that meet another one, beside those that were set aside before */
  aside?: readonly Aside[];
  /** an edit that is not made again */
  without?: string;
  /** takes the place of everything that was set aside: edits to try first, over the project as it is stored */
  first?: (stored: Project) => { sets: readonly ChangeSet[]; aside: readonly Aside[] };
}

/**
 * The server's project, with the edits that wait here made anew on top. One that no longer fits is set aside to be asked
 * about, with later ones on its paths; all others go on.
 */
export function rebase(how: Rebase): Thunk<Promise<void>> {
  return (dispatch) => {
    // One after the other: each has to begin with what the one before it left.
    const next = running.catch(() => undefined).then(() => dispatch(rebaseOnce(how)));
    running = next;
    return next;
  };
}

let running: Promise<void> = Promise.resolve();

function rebaseOnce({ aside: met = [], without, first }: Rebase): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { id, revision: seen } = getState().project;
    if (!id) return;
    const bytes = await api.open(id);
    const { revision, project: newest } = projectFromBytes(bytes);
    const stored = await entriesBetween(id, seen, revision);
    // From here on nothing waits: what was edited meanwhile is in the state as it is now.
    const now = getState().project;
    if (now.id !== id) return;
    const known = new Set(now.aside.map((a) => a.set.id));
    const there = new Set(stored.map((entry) => entry.set.id));
    const before = first?.(newest) ?? { sets: [], aside: [...now.aside, ...met.filter((a) => !known.has(a.set.id))] };
    const queue = [...before.sets, ...now.pending].filter(
      (set) => !there.has(set.id) && set.id !== without && !before.aside.some((a) => a.set.id === set.id),
    );
    const { project, fitting, aside } = replayed(newest, queue, before.aside);
    const explained = aside.map((one) => ({ ...one, ...why(one, stored) }));
    dispatch(settled({ project, revision, pending: fitting, aside: explained }));
    dispatch(keep());
    // All are posted at once, so that an edit made meanwhile comes after them.
    const reopening = openInChecker(bytes);
    const edits = fitting.map((set) => checker().edit(set));
    dispatch(reopened(await reopening));
    for (const result of edits) dispatch(checked(await result));
    dispatch(checkRest());
  };
}

/** What was stored after one revision and up to another. */
async function entriesBetween(id: string, after: number, until: number): Promise<JournalEntry[]> {
  const all: JournalEntry[] = [];
  for (let from = after; from < until;) {
    const entries = await api.since(id, from);
    if (entries.length === 0) break;
    all.push(...entries);
    from = entries.at(-1)!.revision;
  }
  return all;
}

/** The last of what was stored that an edit meets. */
function why({ refusal, met }: Aside, stored: readonly JournalEntry[]): Pick<Aside, 'met'> {
  const found = met ?? (refusal ? stored.findLast((entry) => isWhy(entry.set, refusal)) : undefined);
  return found ? { met: found } : {};
}

function replayed(stored: Project, queue: readonly ChangeSet[], before: readonly Aside[]) {
  let project = stored;
  const fitting: ChangeSet[] = [];
  const aside = [...before];
  for (const set of queue) {
    if (aside.some((a) => overlapsPaths(set, a.set))) {
      aside.push({ set, refusal: null });
      continue;
    }
    const applied = apply(project, set);
    if (applied.ok) {
      project = project.with(applied.entities);
      fitting.push(set);
    } else aside.push({ set, refusal: applied.refusal });
  }
  return { project, fitting, aside };
}

export type Choice = 'theirs' | 'mine' | 'both' | 'put back';

/** Settles the first edit that was set aside; those that waited behind it are tried again. */
export function settle(choice: Choice): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const [asked, ...rest] = getState().project.aside;
    if (!asked) return;
    const make = {
      theirs: () => null,
      mine: withStoredBefore,
      both: withBoth,
      'put back': (stored: Project, set: ChangeSet, as: string) =>
        asked.met ? withPutBack(stored, set, asked.met.set, as) : null,
    }[choice];
    await dispatch(
      rebase({
        first: (stored) => {
          const made = make(stored, asked.set, newId());
          const sets = rest.map((a) => a.set);
          if (choice === 'theirs') return { sets, aside: [] };
          return made ? { sets: [made, ...sets], aside: [] } : { sets, aside: [asked] };
        },
      }),
    );
    if (getState().project.aside[0]?.set.id === asked.set.id) {
      dispatch(noticed('What this edit was made to is gone, so it cannot be stored.'));
    }
    void dispatch(send());
  };
}

/** Whether both can stand: two additions to one list. */
export function canKeepBoth(project: Project, set: ChangeSet, refusal: Refusal): boolean {
  return refusal.code === 'conflict' && withBoth(project, set, set.id) !== null;
}
