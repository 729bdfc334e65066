import type { ChangeSet, Refusal } from '@dialoga/core/change';
import type { Problem } from '@dialoga/core/model';
import { currentAuthor } from './author';
import type { components } from './described';

type Schemas = components['schemas'];
/** What the server says of a project in lists. */
export type ProjectSummary = Schemas['ProjectSummary'];
/** A revision as the history lists it. */
export type RevisionView = Schemas['RevisionView'];
/** Long work of the server, and what became of it. */
export type JobView = Schemas['JobView'];
/** How a rehearsal runs. */
export type RehearsalView = Schemas['RehearsalView'];
/** Whether one runs, here or in another process. */
export type RehearsalState = Schemas['RehearsalState'];
/** One way from a source to a sink, now. */
export type LinkView = Schemas['LinkView'];
/** A revision of the journal: who stored which change set. */
export type JournalEntry = Pick<Schemas['JournalView'], 'revision' | 'author'> & { set: ChangeSet };

/** An answer that is not the hoped-for one: the server's sentence, and what it names. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly problems: readonly Problem[] = [],
    readonly refusal: Refusal | null = null,
  ) {
    super(message);
  }
}

/** Nothing can be asked now: the server does not answer, or its database does not. */
export class AwayError extends Error {
  constructor(sentence = 'The server does not answer. It may be stopped, or the network may be down.') {
    super(sentence);
  }
}

/** The server is there, and its disk is full: nothing more can be stored until somebody makes room. */
export class FullError extends AwayError {}

async function request(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new AwayError();
  }
  if (response.ok) return response;
  const body = (await response.json().catch(() => ({}))) as {
    message?: string;
    problems?: Problem[];
    refusal?: Refusal;
  };
  if (response.status === 507) throw new FullError(body.message);
  if (response.status >= 502 && response.status <= 504) throw new AwayError(body.message);
  throw new ApiError(response.status, body.message ?? response.statusText, body.problems, body.refusal ?? null);
}

/** An edit, and who made it where he named himself. */
const signed = <T extends object>(body: T): T & { author?: string } => {
  const author = currentAuthor();
  return author === '' ? body : { ...body, author };
};

const json = (method: string, body: unknown): RequestInit => ({
  method,
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify(body),
});

const at = (project: string) => `/projects/${encodeURIComponent(project)}`;
const parsed = async <T>(response: Promise<Response>): Promise<T> => (await (await response).json()) as T;

/** What there is none of is null. */
const orNull = <T>(asked: Promise<T>): Promise<T | null> =>
  asked.catch((error: unknown) => {
    if (error instanceof ApiError && error.status === 404) return null;
    throw error;
  });

export const api = {
  /** whether the server answers now */
  isThere: () =>
    fetch('/api/health').then(
      ({ ok, status }) => ok || status === 507,
      () => false,
    ),
  list: () => parsed<ProjectSummary[]>(request('/projects')),
  tally: (id: string) => parsed<ProjectSummary>(request(`${at(id)}/tally`)),
  create: (name: string) => parsed<ProjectSummary>(request('/projects', json('POST', { name }))),
  demo: (demo: string) => parsed<ProjectSummary>(request('/projects/demo', json('POST', { demo }))),
  rename: (id: string, name: string) => parsed<ProjectSummary>(request(at(id), json('PATCH', signed({ name })))),
  remove: async (id: string, name: string): Promise<void> => {
    await request(at(id), json('DELETE', { name }));
  },
  /** starts an import; gives the job */
  importFile: (file: Blob) =>
    parsed<Schemas['JobStarted']>(
      request('/imports', {
        method: 'POST',
        headers: { 'Content-Type': 'application/octet-stream' },
        body: file,
      }),
    ),
  /** starts a copy; gives the job */
  copy: (id: string, name: string) =>
    parsed<Schemas['JobStarted']>(request(`${at(id)}/copies`, json('POST', { name }))),
  job: (id: string) => parsed<JobView>(request(`/jobs/${id}`)),
  stopJob: async (id: string): Promise<void> => {
    await request(`/jobs/${id}`, { method: 'DELETE' });
  },
  revisions: (id: string, before?: number) =>
    parsed<RevisionView[]>(request(`${at(id)}/revisions${before === undefined ? '' : `?before=${before}`}`)),
  revision: async (id: string, revision: number): Promise<ArrayBuffer> =>
    (await request(`${at(id)}/revisions/${revision}`)).arrayBuffer(),
  fileAddress: (id: string) => `/api${at(id)}/file`,
  open: async (id: string): Promise<ArrayBuffer> => (await request(at(id))).arrayBuffer(),
  since: (id: string, revision: number) => parsed<JournalEntry[]>(request(`${at(id)}/changes?since=${revision}`)),
  /** how the rehearsal runs, or that another process runs it */
  rehearsal: (id: string) => parsed<RehearsalState>(request(`${at(id)}/rehearsal`)),
  startRehearsal: (id: string) => parsed<RehearsalView>(request(`${at(id)}/rehearsal`, json('POST', signed({})))),
  endRehearsal: async (id: string): Promise<void> => {
    await request(`${at(id)}/rehearsal`, { method: 'DELETE' });
  },
  inRehearsal: (id: string, what: Schemas['DoDto']) =>
    parsed<RehearsalView>(request(`${at(id)}/rehearsal/do`, json('POST', what))),
  runningLinks: (id: string, exchange: string) =>
    orNull(parsed<LinkView[]>(request(`${at(id)}/rehearsal/exchanges/${encodeURIComponent(exchange)}`))),
  commit: (id: string, set: ChangeSet) =>
    parsed<Schemas['Committed']>(request(`${at(id)}/changes`, json('POST', signed(set)))),
};
