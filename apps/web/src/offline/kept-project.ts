import { createStore, delMany, entries, get, set, setMany } from 'idb-keyval';
import type { JournalEntry } from '../api/client';

/** What this browser has of a project: as it was opened, and every revision that was stored since. */
export interface KeptProject {
  bytes: ArrayBuffer;
  entries: JournalEntry[];
}

interface Copy {
  bytes: ArrayBuffer;
  /** ms since 1970 */
  at: number;
}

/** Of so many projects, those opened last: on site one works on one or two. */
const MOST_PROJECTS = 3;

const store = () => createStore('dialoga-kept', 'projects');
let opened: ReturnType<typeof store> | null = null;
const here = () => (opened ??= store());

const COPY = 'copy ';
const copyKey = (project: string) => COPY + project;
const newsOf = (project: string) => `news ${project} `;

/** Keeps a project as the server has it now; false where the browser has no room for it. */
export async function keepProject(project: string, bytes: ArrayBuffer): Promise<boolean> {
  try {
    const known = await entries<string, Copy | JournalEntry>(here());
    const copies = known
      .filter(([key]) => key.startsWith(COPY) && key !== copyKey(project))
      .sort(([, a], [, b]) => (b as Copy).at - (a as Copy).at);
    const old = copies.slice(MOST_PROJECTS - 1).map(([key]) => key.slice(COPY.length));
    const gone = known.filter(
      ([key]) => key.startsWith(newsOf(project)) || old.some((id) => key === copyKey(id) || key.startsWith(newsOf(id))),
    );
    await delMany(
      gone.map(([key]) => key),
      here(),
    );
    await set(copyKey(project), { bytes, at: Date.now() } satisfies Copy, here());
    return true;
  } catch {
    return false;
  }
}

/** Keeps what was stored since; what cannot be kept is fetched again when the server is back. */
export async function keepNews(project: string, news: readonly JournalEntry[]): Promise<void> {
  try {
    await setMany(
      news.map((entry) => [newsOf(project) + entry.revision, entry]),
      here(),
    );
  } catch {
    // The copy is then an older one, and nothing that was typed is in it alone.
  }
}

/** What this browser has of a project; null: nothing. */
export async function keptProject(project: string): Promise<KeptProject | null> {
  try {
    const copy = await get<Copy>(copyKey(project), here());
    if (!copy) return null;
    const known = await entries<string, JournalEntry>(here());
    const news = known.filter(([key]) => key.startsWith(newsOf(project))).map(([, entry]) => entry);
    return { bytes: copy.bytes, entries: news.sort((a, b) => a.revision - b.revision) };
  } catch {
    return null;
  }
}
