import { createApi, type BaseQueryFn } from '@reduxjs/toolkit/query/react';
import { problemSentence } from '@dialoga/core/model';
import {
  api,
  ApiError,
  AwayError,
  type LinkView,
  type ProjectSummary,
  type RehearsalState,
  type RevisionView,
} from './client';

/** Why a list could not be had, as the screen says it. */
export interface ListError {
  message: string;
  /** what is wrong, line by line */
  lines: string[];
  /** the server does not answer: it is asked again */
  away: boolean;
}

const MOST_LINES = 20;

export function listErrorOf(error: unknown): ListError {
  const lines = error instanceof ApiError ? error.problems.slice(0, MOST_LINES).map(problemSentence) : [];
  const message = error instanceof Error ? error.message : String(error);
  return { message, lines, away: error instanceof AwayError };
}

const answered: BaseQueryFn<() => Promise<unknown>, unknown, ListError> = async (ask) => {
  try {
    return { data: await ask() };
  } catch (error) {
    return { error: listErrorOf(error) };
  }
};

/** Revisions that the server lists at once. */
const REVISIONS_A_PAGE = 200;
/** Times that the counts of a project are asked for: the server answers before a long counting is through. */
const MOST_ASKED = 20;

/** The lists that the server gives: fetched once for all who show them, and anew when they are said to have changed. */
export const lists = createApi({
  reducerPath: 'lists',
  baseQuery: answered,
  tagTypes: ['projects'],
  endpoints: (build) => ({
    projects: build.query<ProjectSummary[], void>({
      query: () => api.list,
      providesTags: ['projects'],
      /** The counts that are not there yet come one after the other. */
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        for (const { id, tally } of answer?.data ?? []) {
          if (tally !== null) continue;
          const counted = await countedOf(id).catch(() => null);
          if (counted === null) return;
          dispatch(
            lists.util.updateQueryData('projects', undefined, (all) =>
              all.map((one) => (one.id === id ? counted : one)),
            ),
          );
        }
      },
    }),
    /** How the rehearsal of a project runs, or that another process runs it. */
    rehearsal: build.query<RehearsalState, string>({ query: (id) => () => api.rehearsal(id) }),
    /** The values of an exchange at both ends, now. */
    runningLinks: build.query<LinkView[] | null, { project: string; exchange: string }>({
      query:
        ({ project, exchange }) =>
        () =>
          api.runningLinks(project, exchange),
    }),
    /** Pages of revisions, newest first; each begins before the last of the one before it. */
    revisions: build.infiniteQuery<RevisionView[], string, number | null>({
      query:
        ({ queryArg, pageParam }) =>
        () =>
          api.revisions(queryArg, pageParam ?? undefined),
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: (page) => (page.length < REVISIONS_A_PAGE ? undefined : page.at(-1)!.revision),
      },
    }),
  }),
});

async function countedOf(id: string): Promise<ProjectSummary> {
  let counted = await api.tally(id);
  for (let asked = 1; counted.tally === null && asked < MOST_ASKED; asked++) counted = await api.tally(id);
  return counted;
}

export const { useProjectsQuery, useRehearsalQuery, useRevisionsInfiniteQuery, useRunningLinksQuery } = lists;
