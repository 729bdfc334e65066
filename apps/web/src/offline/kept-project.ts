import { createStore, delMany, get, getMany, keys, setMany } from 'idb-keyval';
import type { JournalEntry } from '../api/client';

/** What this browser has of a project: as it was opened, and every revision that was stored since. */
export interface KeptProject {
  bytes: ArrayBuffer;
  entries: JournalEntry[];
}

/** Of so many projects, those opened last: on site one works on one or two. */
const MOST_PROJECTS = 3;

const store = () => createStore('dialoga-kept', 'projects');
let opened: ReturnType<typeof store> | null = null;
const here = () => (opened ??= store());

/** Three sorts of entries: the bytes of a project, when it was opened (ms since 1970), and its news by revision. */
const COPY = 'copy ';
const OPENED = 'opened ';
const newsOf = (project: string) => `news ${project} `;

/** Keeps a project as the server had it at a revision; what was stored after that stays beside it. False where the browser has no room for it. */
export async function keepProject(project: string, bytes: ArrayBuffer, revision: number): Promise<boolean> {
  try {
    const known = await keys<string>(here());
    const others = known.filter((key) => key.startsWith(OPENED) && key !== OPENED + project);
    const times = await getMany<number>(others, here());
    const old = others
      .map((key, i) => ({ id: key.slice(OPENED.length), at: times[i] ?? 0 }))
      .sort((a, b) => b.at - a.at)
      .slice(MOST_PROJECTS - 1);
    for (const { id } of old) await forgetProject(id);
    await delMany(
      known.filter((key) => key.startsWith(newsOf(project)) && Number(key.slice(newsOf(project).length)) <= revision),
      here(),
    );
    await setMany(
      [
        [COPY + project, bytes],
        [OPENED + project, Date.now()],
      ],
      here(),
    );
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
    const bytes = await get<ArrayBuffer>(COPY + project, here());
    if (!bytes) return null;
    const known = (await keys<string>(here())).filter((key) => key.startsWith(newsOf(project)));
    const news = await getMany<JournalEntry>(known, here());
    return { bytes, entries: news.flatMap((entry) => entry ?? []).sort((a, b) => a.revision - b.revision) };
  } catch {
    return null;
  }
}

/** Nothing of it is kept any more: it was deleted, or others were opened since. */
export async function forgetProject(project: string): Promise<void> {
  const known = (await keys<string>(here())).filter((key) => key.startsWith(newsOf(project)));
  await delMany([COPY + project, OPENED + project, ...known], here());
}
