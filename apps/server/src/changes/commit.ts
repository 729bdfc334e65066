import { ConflictException, NotFoundException } from '@nestjs/common';
import { apply, type ChangeSet } from '@dialoga/core/change';
import { PROJECT_ID } from '@dialoga/core/model';
import { inspectEntity } from '@dialoga/core/entry';
import { QueryFailedError, type DataSource, type EntityManager } from 'typeorm';
import { writeJournal } from '../database/journal.js';
import { RowReader, type ReadsAtMost } from '../database/row-reader.js';
import { writeChanges } from '../database/stored-project.js';
import { journalTable, NOW, projectTable } from '../database/tables.js';
import { unprocessable } from '../edge/problems.js';
import { readChangeSet, type SentChangeSet } from './read-change-set.js';

const TRIES = 4;
const DEADLOCK = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT']);
const MOST_PROBLEMS = 100;

/**
 * Commits a change set: entities and journal in one transaction under the project's row lock. The same id again gives
 * the revision it got and changes nothing. Throws the answer where it is refused, and `TooMuchToRead` where it touches
 * more than may be read here.
 */
export async function commitChangeSet(
  database: DataSource,
  project: string,
  sent: SentChangeSet,
  atMost?: ReadsAtMost,
): Promise<{ revision: number }> {
  for (let attempt = 1; ; attempt++) {
    try {
      const revision = await database.transaction((manager) => commitOnce(manager, project, sent, atMost));
      return { revision };
    } catch (error) {
      const code = error instanceof QueryFailedError ? (error.driverError as { code?: string }).code : undefined;
      if (attempt >= TRIES || !code || !DEADLOCK.has(code)) throw error;
    }
  }
}

/** The same for the body of a request that is too large for the thread that answers. */
export const commitLargeBody = (database: DataSource, project: string, body: Uint8Array) =>
  commitChangeSet(database, project, readChangeSet(body));

async function commitOnce(
  manager: EntityManager,
  project: string,
  { set, author }: SentChangeSet,
  atMost: ReadsAtMost | undefined,
): Promise<number> {
  const row = await manager.findOne(projectTable, { where: { id: project }, lock: { mode: 'pessimistic_write' } });
  if (!row) throw new NotFoundException({ message: `There is no project ${project}.` });
  const known = await manager.findOneBy(journalTable, { project, changeSet: set.id });
  if (known) return known.revision;

  const entities = await applied(new RowReader(manager, project, atMost), set);
  await writeChanges(manager, project, entities);
  const revision = row.revision + 1;
  await writeJournal(manager, project, revision, set, author);
  const info = entities.find((e) => e.kind === 'project' && e.id === PROJECT_ID)?.after;
  await manager.update(
    projectTable,
    { id: project },
    { revision, changed: NOW, ...(info && 'name' in info ? { name: info.name } : {}) },
  );
  return revision;
}

/** What the change set makes of the stored entities; throws the answer where it may not. */
async function applied(reader: RowReader, set: ChangeSet) {
  await reader.fetchFor(set);
  let result = apply(reader, set);
  while (await reader.fetch()) result = apply(reader, set);
  if (!result.ok) throw new ConflictException({ message: result.refusal.sentence, refusal: result.refusal });
  const problems = [];
  for (const { kind, after } of result.entities) {
    if (problems.length >= MOST_PROBLEMS) break;
    if (after !== undefined) problems.push(...inspectEntity(kind, after));
  }
  if (result.entities.some((e) => e.kind === 'project' && e.after === undefined)) {
    problems.push({ where: 'project', found: 'it is dropped', expected: 'its own entry stays' });
  }
  if (problems.length > 0) {
    throw unprocessable('The change set would leave something that cannot be.', problems.slice(0, MOST_PROBLEMS));
  }
  return result.entities;
}
