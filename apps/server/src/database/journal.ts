import type { ChangeSet } from '@dialoga/core/change';
import { Between, type EntityManager } from 'typeorm';
import { inParts } from './parts.js';
import { journalPartTable, journalTable, NOW, type PartRow } from './tables.js';

/** What the journal says of one revision. */
export interface JournalEntry {
  revision: number;
  made: Date;
  author: string | null;
  set: ChangeSet;
}

/** Writes one revision. The time is the database's, so that several processes share one clock. */
export async function writeJournal(
  manager: EntityManager,
  project: string,
  revision: number,
  set: ChangeSet,
  author: string | null,
): Promise<void> {
  const parts = inParts(JSON.stringify(set.changes));
  const row = { project, revision, changeSet: set.id, author, label: set.label, parts: parts.length };
  await manager.insert(journalTable, { ...row, made: NOW });
  for (const [part, body] of parts.entries()) await manager.insert(journalPartTable, { project, revision, part, body });
}

/** The parts of the changes of these revisions, in order. */
export const readParts = (manager: EntityManager, project: string, first: number, last: number): Promise<PartRow[]> =>
  manager.find(journalPartTable, {
    where: { project, revision: Between(first, last) },
    order: { revision: 'ASC', part: 'ASC' },
  });

/** Characters of changes after which a reading stops, so that an answer stays of bounded size. */
const MOST_CHARACTERS = 16_000_000;

/** Change sets after a revision, in order, up to and with `until`; as many as fit, at least one where there is one. */
export async function readJournal(
  manager: EntityManager,
  project: string,
  after: number,
  { until = Number.MAX_SAFE_INTEGER, most = 1000 }: { until?: number; most?: number } = {},
): Promise<JournalEntry[]> {
  const rows = await manager
    .getRepository(journalTable)
    .createQueryBuilder('j')
    .where('j.project = :project AND j.revision > :after AND j.revision <= :until', { project, after, until })
    .orderBy('j.revision')
    .take(most)
    .getMany();
  const entries: JournalEntry[] = [];
  let characters = 0;
  for (let at = 0; at < rows.length && characters < MOST_CHARACTERS;) {
    // One row's parts are at most some MB; few rows at a time keep what is read in memory bounded.
    const chunk = rows.slice(at, at + 50);
    const parts = await readParts(manager, project, chunk[0]!.revision, chunk.at(-1)!.revision);
    const bodies = new Map<number, string>();
    for (const { revision, body } of parts) bodies.set(revision, (bodies.get(revision) ?? '') + body);
    for (const { revision, made, author, changeSet, label } of chunk) {
      const body = bodies.get(revision)!;
      characters += body.length;
      entries.push({
        revision,
        made,
        author,
        set: { id: changeSet, label, changes: JSON.parse(body) as ChangeSet['changes'] },
      });
    }
    at += chunk.length;
  }
  return entries;
}
