import type { Effect, Happening } from '../sync/happening';
import { step } from '../sync/step';
import { openInChecker } from '../worker/checker';
import { problemSentence } from '@dialoga/core/model';
import { api, ApiError, AwayError, FullError } from '../api/client';
import { projectFromBytes } from '../api/opened';
import { forgetProject, keepNews, keepProject, keptProject } from '../offline/kept-project';
import { idle } from '../page/idle';
import { askObserved, check } from './checking';
import { findingsSlice } from './findings-slice';
import { forgetKept, keepEdits, rememberSteps } from './kept-edits';
import { projectSlice } from './project-slice';
import type { Thunk } from './store';

const { noticed, stepped } = projectSlice.actions;

/** Counts openings: what was begun for one is of no interest to the next. */
let opening = 0;
let pause: ReturnType<typeof setTimeout> | undefined;

/** The only way by which the session changes: its next state, and then what is to be done outside. */
export function happen(event: Happening): Thunk {
  return (dispatch, getState) => {
    if (event.what === 'begun' || event.what === 'closed') {
      opening++;
      clearTimeout(pause);
    }
    const [session, effects] = step(getState().project, event);
    dispatch(stepped(session));
    for (const effect of effects) dispatch(run(effect));
  };
}

function run(effect: Effect): Thunk {
  return (dispatch, getState) => {
    const now = opening;
    const later = (event: Happening) => {
      if (now === opening) dispatch(happen(event));
    };
    /** What the first check found, and then how far the lanes are on site. */
    const takeIn = async (checked: ReturnType<typeof openInChecker>) => {
      const first = await checked;
      if (now !== opening) return;
      dispatch(findingsSlice.actions.reopened(first));
      dispatch(askObserved());
    };
    switch (effect.do) {
      case 'open':
        void open(effect).then(({ event, bytes }) => {
          const wanted = now === opening && ['loading', 'waiting'].includes(getState().project.status);
          const checked = bytes && wanted ? openInChecker(bytes) : null;
          later(event);
          if (checked) void takeIn(checked);
          if (bytes && effect.past === null && event.what === 'opened')
            void keepCopy(effect.id, bytes, event.revision).then((said) => said && dispatch(noticed(said)));
        });
        return;
      case 'open from here':
        void keptProject(effect.id).then((kept) => {
          // The server may have answered meanwhile, with what is newer.
          if (!kept || now !== opening || getState().project.status !== 'waiting') return;
          const checked = openInChecker(kept.bytes);
          later({ what: 'opened from here', ...projectFromBytes(kept.bytes), entries: kept.entries });
          void takeIn(checked);
        });
        return;
      case 'keep news':
        void keepNews(effect.project, effect.entries);
        return;
      case 'send':
        // In a task of its own, so that what was typed is drawn first; until then the edit is kept here.
        setTimeout(() => void send(effect).then(later));
        return;
      case 'fetch':
        void api.since(effect.project, effect.since).then(
          (entries) => later({ what: 'fetched', entries }),
          () => later({ what: 'not fetched' }),
        );
        return;
      case 'keep':
        if (!keepEdits(effect.project, effect.sets)) dispatch(noticed(NO_ROOM));
        return;
      case 'forget':
        return forgetKept(effect.project, effect.window);
      case 'remember':
        return rememberSteps(effect.project, effect);
      case 'check':
        dispatch(check(effect.set, effect.edit));
        return;
      case 'wait':
        clearTimeout(pause);
        pause = setTimeout(() => later({ what: 'again' }), effect.ms);
    }
  };
}

const NO_ROOM = 'The browser has no room to keep this edit over a reload; leave the window open until it is sent.';

type Asked<D extends Effect['do']> = Extract<Effect, { do: D }>;

async function open({ id, past }: Asked<'open'>): Promise<{ event: Happening; bytes?: ArrayBuffer }> {
  try {
    const bytes = past === null ? await api.open(id) : await api.revision(id, past);
    return { event: { what: 'opened', ...projectFromBytes(bytes) }, bytes };
  } catch (error) {
    // One that was deleted is kept nowhere.
    if (error instanceof ApiError && error.status === 404) void forgetProject(id).catch(() => undefined);
    return { event: { what: 'not opened', sentence: sentenceOf(error), away: error instanceof AwayError } };
  }
}

/** This browser keeps it for when the server is away; a sentence, once, where it cannot. */
async function keepCopy(id: string, bytes: ArrayBuffer, revision: number): Promise<string | null> {
  await idle();
  if ((await keepProject(id, bytes, revision)) || toldOfNoRoom) return null;
  toldOfNoRoom = true;
  return 'This browser has no room to keep the project: it does not open again while the server is away.';
}
let toldOfNoRoom = false;

async function send({ project, set }: Asked<'send'>): Promise<Happening> {
  const { id } = set;
  try {
    const { revision } = await api.commit(project, set);
    return { what: 'stored', id, revision };
  } catch (error) {
    const sentence = sentenceOf(error);
    if (error instanceof FullError) return { what: 'unanswered', id, why: 'full', sentence };
    if (error instanceof ApiError && error.status < 500 && error.status !== 429) {
      const [problem] = error.problems;
      return { what: 'refused', id, refusal: error.refusal, sentence: problem ? problemSentence(problem) : sentence };
    }
    const failing = error instanceof ApiError && error.status !== 429;
    return { what: 'unanswered', id, why: failing ? 'failing' : 'away', sentence };
  }
}

const sentenceOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));
