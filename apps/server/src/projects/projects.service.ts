import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { BadRequestException, Inject, Injectable, NotFoundException } from '@nestjs/common';
import { apply, CheckEngine, counting, PROJECT_ID, Project, set, tallyOf, writeProject } from '@dialoga/core';
import { readingProject, readProject, type ReadProject } from '@dialoga/core/entry';
import { DataSource } from 'typeorm';
import { ChangesService } from '../changes/changes.service.js';
import { insertProject, loadProject, removeProject } from '../database/stored-project.js';
import { projectTable, type ProjectRow } from '../database/tables.js';
import { unprocessable } from '../edge/problems.js';
import { JobsService, type Tell } from '../jobs/jobs.service.js';
import { newId } from '../new-id.js';
import type { ProjectSummary } from './project.dto.js';

export const DEMO_FOLDER = Symbol('demo folder');

@Injectable()
export class ProjectsService {
  constructor(
    private readonly database: DataSource,
    private readonly changes: ChangesService,
    private readonly jobs: JobsService,
    @Inject(DEMO_FOLDER) private readonly demoFolder: string,
  ) {}

  async list(): Promise<ProjectSummary[]> {
    const rows = await this.database.getRepository(projectTable).find({ order: { changed: 'DESC', id: 'ASC' } });
    return rows.map(summary);
  }

  async get(id: string): Promise<ProjectRow> {
    const row = await this.database.getRepository(projectTable).findOneBy({ id });
    if (!row) throw new NotFoundException({ message: `There is no project ${id}.` });
    return row;
  }

  async create(name: string): Promise<ProjectSummary> {
    const project = Project.of({ project: [{ id: PROJECT_ID, name: name.trim() }] });
    return this.store(project, writeProject(project));
  }

  /** A project from a project file, as a job: the whole of it, or everything that is wrong with it. */
  importFile(text: string): Promise<string> {
    return this.jobs.start('import', async (tell) => {
      const steps = readingProject(text);
      for (let step = steps.next(); ; step = steps.next()) {
        if (step.done) return (await this.store(taken(step.value), text, tell)).id;
        await tell('checking what the file holds', step.value.done, step.value.total);
      }
    });
  }

  /** A copy at its newest revision under another name, as a job. Its history begins anew. */
  async copy(id: string, name: string): Promise<string> {
    await this.get(id);
    return this.jobs.start('copy', async (tell) => {
      await tell('reading the project', 0, 1);
      const project = await this.database.transaction('REPEATABLE READ', (manager) => loadProject(manager, id));
      const entity = { id: PROJECT_ID, name: project.info.name };
      const renamed = apply(project, {
        id: 'copy',
        label: '',
        changes: [set('project', entity, ['name'], name.trim())],
      });
      const copy = renamed.ok ? project.with(renamed.entities) : project;
      return (await this.store(copy, writeProject(copy), tell)).id;
    });
  }

  async fromDemo(demo: string): Promise<ProjectSummary> {
    const text = await readFile(join(this.demoFolder, `${demo}.dialoga.json`), 'utf8');
    return this.store(taken(readProject(text)), text);
  }

  /** Stores a project with the file that it was read from, in one transaction. */
  private async store(project: Project, file: string, tell?: Tell): Promise<ProjectSummary> {
    const id = newId();
    const row = { id, name: project.info.name, revision: 0, tally: null, tallyRevision: null };
    const progress = tell && ((done: number, total: number) => tell('storing', done, total));
    await this.database.transaction(async (manager) => {
      await manager.insert(projectTable, { ...row, changed: () => 'UTC_TIMESTAMP(3)' });
      await insertProject(manager, id, project, file, progress);
    });
    return summary(await this.get(id));
  }

  async rename(id: string, name: string, author: string | null): Promise<ProjectSummary> {
    const row = await this.get(id);
    const info = { id: PROJECT_ID, name: row.name };
    const change = set('project', info, ['name'], name.trim());
    await this.changes.commit(id, { id: newId(), label: 'Rename project', changes: [change] }, author);
    return summary(await this.get(id));
  }

  /** Deletes for good; the name has to be typed, as it stands. */
  async remove(id: string, typedName: string): Promise<void> {
    const { name } = await this.get(id);
    if (typedName !== name) {
      throw new BadRequestException({
        message: `“${typedName}” is not the project's name; type “${name}” to delete it.`,
      });
    }
    await this.database.transaction((manager) => removeProject(manager, id));
  }

  /** Counts the findings of the newest revision, and keeps the counts with it. */
  async tally(id: string): Promise<ProjectSummary> {
    const row = await this.get(id);
    if (row.tallyRevision !== row.revision || row.tally === null) {
      const project = await this.database.transaction('REPEATABLE READ', (manager) => loadProject(manager, id));
      row.tally = JSON.stringify(tallyOf(counting(new CheckEngine(project).findings, project)));
      row.tallyRevision = row.revision;
      const { tally, tallyRevision, revision } = row;
      await this.database.getRepository(projectTable).update({ id, revision }, { tally, tallyRevision });
    }
    return summary(row);
  }

  async file(id: string): Promise<{ name: string; text: string }> {
    const { name } = await this.get(id);
    const project = await this.database.transaction('REPEATABLE READ', (manager) => loadProject(manager, id));
    return { name, text: writeProject(project) };
  }

  /** The demo, where nobody has stored anything yet. */
  async loadDemoIfEmpty(): Promise<boolean> {
    if ((await this.database.getRepository(projectTable).count()) > 0) return false;
    await this.fromDemo('kestrel-quay-as-agreed');
    await this.fromDemo('kestrel-quay');
    return true;
  }
}

function taken(read: ReadProject): Project {
  if (!read.ok) throw unprocessable('The file cannot be taken as a project; nothing was stored.', read.problems);
  return read.project;
}

function summary(row: ProjectRow): ProjectSummary {
  const counted = row.tally !== null && row.tallyRevision === row.revision;
  return {
    id: row.id,
    name: row.name,
    revision: row.revision,
    changed: row.changed,
    tally: counted ? (JSON.parse(row.tally!) as ProjectSummary['tally']) : null,
  };
}
