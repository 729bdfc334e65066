import { NotFoundException } from '@nestjs/common';
import { apply, invert } from '@dialoga/core/change';
import { SECTION_OF } from '@dialoga/core/file';
import { KINDS, Project, type Entity, type Kind } from '@dialoga/core/model';
import type { DataSource, EntityManager } from 'typeorm';
import { readJournal, type JournalEntry } from '../database/journal.js';
import { loadProject } from '../database/stored-project.js';
import { baselineTable, projectTable } from '../database/tables.js';

/** The sections of a project as it was at a revision, as the text of an object. Throws the answer, 404. */
export async function pastSections(database: DataSource, id: string, revision: number): Promise<string> {
  const project = await projectAt(database, id, revision);
  const sections = KINDS.map((kind) => `"${SECTION_OF[kind]}":${JSON.stringify([...project.all(kind)])}`);
  return `{"revision":${revision},${sections.join(',')}}`;
}

/** From the tables backwards or from a baseline forwards, whichever is less. */
export function projectAt(database: DataSource, id: string, revision: number): Promise<Project> {
  return database.transaction('REPEATABLE READ', async (manager) => {
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

async function baselinesOf(manager: EntityManager, project: string): Promise<number[]> {
  const rows = await manager
    .createQueryBuilder(baselineTable, 'b')
    .select('DISTINCT b.revision', 'revision')
    .where('b.project = :project', { project })
    .getRawMany<{ revision: number }>();
  return rows.map((r) => r.revision);
}

/** It was inspected when it came in, and is not again. */
async function readBaseline(manager: EntityManager, project: string, revision: number): Promise<Project> {
  const parts = await manager.find(baselineTable, { where: { project, revision }, order: { part: 'ASC' } });
  const text = parts.map((part) => part.body).join('');
  const file = JSON.parse(text.replace(/^\uFEFF/, '')) as Record<string, Entity[]>;
  const sections = KINDS.map((kind) => [kind, file[SECTION_OF[kind]] ?? []] as const);
  return Project.of(Object.fromEntries(sections) as unknown as Partial<Record<Kind, Entity[]>>);
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
