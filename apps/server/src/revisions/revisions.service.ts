import { Injectable, NotFoundException } from '@nestjs/common';
import { apply, invert, Project } from '@dialoga/core';
import { readProject } from '@dialoga/core/entry';
import { ApiProperty } from '@nestjs/swagger';
import { DataSource, type EntityManager } from 'typeorm';
import { readJournal, type JournalEntry } from '../database/journal.js';
import { loadProject } from '../database/stored-project.js';
import { journalTable, projectTable } from '../database/tables.js';

/** A revision as the history lists it. */
export class RevisionView {
  @ApiProperty() revision!: number;
  @ApiProperty() made!: Date;
  @ApiProperty({ type: String, nullable: true }) author!: string | null;
  @ApiProperty() label!: string;
}

@Injectable()
export class RevisionsService {
  constructor(private readonly database: DataSource) {}

  /** Revisions before a number, newest first. */
  async list(project: string, before: number, most = 200): Promise<RevisionView[]> {
    const rows = await this.database
      .getRepository(journalTable)
      .createQueryBuilder('j')
      .where('j.project = :project AND j.revision < :before', { project, before })
      .orderBy('j.revision', 'DESC')
      .take(most)
      .getMany();
    return rows.map(({ revision, made, author, label }) => ({ revision, made, author, label }));
  }

  /** The project as it was at a revision: from the tables backwards or from a baseline forwards, whichever is less. */
  async at(id: string, revision: number): Promise<Project> {
    return this.database.transaction('REPEATABLE READ', async (manager) => {
      const row = await manager.findOneBy(projectTable, { id });
      if (!row) throw new NotFoundException({ message: `There is no project ${id}.` });
      if (revision < 0 || revision > row.revision) {
        throw new NotFoundException({
          message: `There is no revision ${revision}; the newest is ${row.revision}, the first 0.`,
        });
      }
      const baselines = await baselinesOf(manager, id);
      const start = Math.max(...baselines.filter((b) => b <= revision));
      const rewritten = baselines.some((b) => b > revision);
      if (!rewritten && row.revision - revision <= revision - start) {
        return backwards(await loadProject(manager, id), await entries(manager, id, revision, row.revision));
      }
      return forwards(await readBaseline(manager, id, start), await entries(manager, id, start, revision));
    });
  }
}

async function baselinesOf(manager: EntityManager, project: string): Promise<number[]> {
  const rows: { revision: number }[] = await manager.query('SELECT DISTINCT revision FROM baseline WHERE project = ?', [
    project,
  ]);
  return rows.map((r) => r.revision);
}

async function readBaseline(manager: EntityManager, project: string, revision: number): Promise<Project> {
  const parts: { body: string }[] = await manager.query(
    'SELECT body FROM baseline WHERE project = ? AND revision = ? ORDER BY part',
    [project, revision],
  );
  const read = readProject(parts.map((p) => p.body).join(''));
  if (!read.ok) throw new Error(`the baseline of ${project} at ${revision} cannot be read`);
  return read.project;
}

async function entries(manager: EntityManager, project: string, after: number, until: number): Promise<JournalEntry[]> {
  const all: JournalEntry[] = [];
  for (let from = after; from < until;) {
    const next = await readJournal(manager, project, from, { until });
    if (next.length === 0) throw new Error(`the journal of ${project} has a gap after ${from}`);
    all.push(...next);
    from = next.at(-1)!.revision;
  }
  return all;
}

function forwards(start: Project, journal: readonly JournalEntry[]): Project {
  return journal.reduce((project, { set }) => applied(project, set), start);
}

function backwards(newest: Project, journal: readonly JournalEntry[]): Project {
  return journal.reduceRight((project, { set }) => applied(project, invert(set, set.id)), newest);
}

function applied(project: Project, set: JournalEntry['set']): Project {
  const result = apply(project, set);
  if (!result.ok) throw new Error(`the journal cannot be replayed: ${result.refusal.sentence}`);
  return project.with(result.entities);
}
