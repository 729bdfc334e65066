import { ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { apply, PROJECT_ID, type ChangeSet, type Refusal } from '@dialoga/core';
import { inspectEntity } from '@dialoga/core/entry';
import { DataSource, QueryFailedError, type EntityManager } from 'typeorm';
import { readJournal, writeJournal, type JournalEntry } from '../database/journal.js';
import { RowReader } from '../database/row-reader.js';
import { writeChanges } from '../database/stored-project.js';
import { journalTable, projectTable } from '../database/tables.js';
import { EventsService } from '../events/events.service.js';
import { unprocessable } from '../edge/problems.js';

const TRIES = 4;
const DEADLOCK = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT']);

@Injectable()
export class ChangesService {
  constructor(
    private readonly database: DataSource,
    private readonly events: EventsService,
  ) {}

  /**
   * Commits a change set: entities and journal in one transaction under the project's row lock. The same id again
   * gives the revision it got and changes nothing.
   */
  async commit(project: string, set: ChangeSet, author: string | null): Promise<number> {
    for (let attempt = 1; ; attempt++) {
      try {
        const revision = await this.database.transaction((manager) => this.commitOnce(manager, project, set, author));
        this.events.announce(project, revision);
        return revision;
      } catch (error) {
        const code = error instanceof QueryFailedError ? (error.driverError as { code?: string }).code : undefined;
        if (attempt >= TRIES || !code || !DEADLOCK.has(code)) throw error;
      }
    }
  }

  private async commitOnce(
    manager: EntityManager,
    project: string,
    set: ChangeSet,
    author: string | null,
  ): Promise<number> {
    const row = await manager.findOne(projectTable, { where: { id: project }, lock: { mode: 'pessimistic_write' } });
    if (!row) throw new NotFoundException({ message: `There is no project ${project}.` });
    const known = await manager.findOneBy(journalTable, { project, changeSet: set.id });
    if (known) return known.revision;

    const reader = new RowReader(manager, project);
    await reader.fetchFor(set);
    let applied = apply(reader, set);
    while (await reader.fetch()) applied = apply(reader, set);
    if (!applied.ok) throw refused(applied.refusal);
    const problems = applied.entities.flatMap((e) => (e.after === undefined ? [] : inspectEntity(e.kind, e.after)));
    if (applied.entities.some((e) => e.kind === 'project' && e.after === undefined)) {
      problems.push({ where: 'project', found: 'it is dropped', expected: 'its own entry stays' });
    }
    if (problems.length > 0) throw unprocessable('The change set would leave something that cannot be.', problems);

    await writeChanges(manager, project, applied.entities);
    const revision = row.revision + 1;
    await writeJournal(manager, project, revision, set, author);
    const info = applied.entities.find((e) => e.kind === 'project' && e.id === PROJECT_ID)?.after;
    await manager.update(
      projectTable,
      { id: project },
      { revision, changed: () => 'UTC_TIMESTAMP(3)', ...(info && 'name' in info ? { name: info.name } : {}) },
    );
    return revision;
  }

  /** The change sets after a revision, in order; more may follow. */
  since(project: string, revision: number): Promise<JournalEntry[]> {
    return readJournal(this.database.manager, project, revision);
  }
}

function refused(refusal: Refusal): ConflictException {
  return new ConflictException({ message: refusal.sentence, refusal });
}
