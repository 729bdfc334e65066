import type { ChangeSet } from '@dialoga/core/change';
import type { EntityManager } from 'typeorm';
import { inParts } from './parts.js';
import { journalPartTable, journalTable } from './tables.js';

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
  await manager.query(
    `INSERT INTO journal (project, revision, change_set, author, made, label, parts)
      VALUES (?, ?, ?, ?, UTC_TIMESTAMP(3), ?, ?)`,
    [project, revision, set.id, author, set.label, parts.length],
  );
  for (const [part, body] of parts.entries()) await manager.insert(journalPartTable, { project, revision, part, body });
}

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
    const parts: { revision: number; body: string }[] = await manager.query(
      'SELECT revision, body FROM journal_part WHERE project = ? AND revision BETWEEN ? AND ? ORDER BY revision, part',
      [project, chunk[0]!.revision, chunk.at(-1)!.revision],
    );
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
