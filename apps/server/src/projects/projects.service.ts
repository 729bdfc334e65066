import { setTimeout } from 'node:timers/promises';
import { BadRequestException, ConflictException, Injectable, NotFoundException } from '@nestjs/common';
import { set } from '@dialoga/core/change';
import { writeProject } from '@dialoga/core/file';
import { Project, PROJECT_ID } from '@dialoga/core/model';
import { DataSource } from 'typeorm';
import { ChangesService } from '../changes/changes.service.js';
import { removeProject } from '../database/stored-project.js';
import { projectTable, type ProjectRow } from '../database/tables.js';
import { MOST_PROJECTS } from '../edge/limits.js';
import { Disk } from '../disk/disk.js';
import { JobsService } from '../jobs/jobs.service.js';
import { newId } from '../base/new-id.js';
import { ownMemory } from '../work/own-memory.js';
import { WorkService } from '../work/work.service.js';
import { DEMOS, type ProjectSummary } from './project.dto.js';
import { storeProject } from './store-project.js';

/** ms that an answer waits for findings to be counted. */
const LONGEST_WAIT_MS = 3_000;

@Injectable()
export class ProjectsService {
  private readonly underWay = new Map<string, Promise<unknown>>();

  constructor(
    private readonly database: DataSource,
    private readonly changes: ChangesService,
    private readonly jobs: JobsService,
    private readonly work: WorkService,
    private readonly disk: Disk,
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
    await this.refuseWithoutRoom();
    const project = Project.of({ project: [{ id: PROJECT_ID, name: name.trim() }] });
    return summary(await this.get(await storeProject(this.database, project, writeProject(project))));
  }

  /** A project from a project file, as a job: the whole of it, or everything that is wrong with it. */
  async importFile(bytes: Buffer): Promise<string> {
    await this.refuseWithoutRoom(bytes.length);
    return this.jobs.start('import', (job) => {
      const file = ownMemory(bytes);
      return this.work.run('importFile', { job, file }, [file.buffer]);
    });
  }

  /** A copy at its newest revision under another name, as a job. Its history begins anew. */
  async copy(id: string, name: string): Promise<string> {
    await this.get(id);
    await this.refuseWithoutRoom();
    return this.jobs.start('copy', (job) => this.work.run('copyProject', { job, project: id, name }));
  }

  async fromDemo(demo: string): Promise<ProjectSummary> {
    await this.refuseWithoutRoom();
    const { project } = await this.work.run('storeDemo', { demo });
    return summary(await this.get(project));
  }

  async rename(id: string, name: string, author: string | null): Promise<ProjectSummary> {
    const row = await this.get(id);
    const info = { id: PROJECT_ID, name: row.name };
    const changes = [set('project', info, ['name'], name.trim())];
    await this.changes.commit(id, { set: { id: newId(), label: 'Rename project', changes }, author });
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

  /**
   * The project with the counts of its newest revision; without them where it was edited once more meanwhile, or where
   * counting takes longer than anybody waits: it goes on, and whoever asks again gets it.
   */
  async tally(id: string): Promise<ProjectSummary> {
    const until = performance.now() + LONGEST_WAIT_MS;
    // A counting that is under way may have begun before the last edit: then there is one more.
    for (let tries = 0; tries < 2 && performance.now() < until; tries++) {
      const row = await this.get(id);
      if (row.tallyRevision === row.revision && row.tally !== null) return summary(row);
      const waited = new AbortController();
      const enough = setTimeout(until - performance.now(), undefined, { signal: waited.signal, ref: false });
      await Promise.race([this.counting(id), enough]);
      waited.abort();
      enough.catch(() => undefined);
    }
    return summary(await this.get(id));
  }

  /** Counts, or waits for a counting that is under way: however many ask, there is one at a time. */
  private counting(id: string): Promise<unknown> {
    const known = this.underWay.get(id);
    if (known) return known;
    const run = this.work.run('countFindings', { project: id }).finally(() => this.underWay.delete(id));
    run.catch(() => undefined);
    this.underWay.set(id, run);
    return run;
  }

  /** The demo, where nobody has stored anything yet. */
  async loadDemoIfEmpty(): Promise<boolean> {
    if ((await this.database.getRepository(projectTable).count()) > 0) return false;
    for (const demo of [...DEMOS].reverse()) await this.fromDemo(demo);
    return true;
  }

  /** Throws the answer, 409 or 507, where there is no room for one project more, of so many bytes. */
  private async refuseWithoutRoom(bytes = 1_000_000): Promise<void> {
    await this.disk.refuseWithoutRoom(bytes);
    if ((await this.database.getRepository(projectTable).count()) < MOST_PROJECTS) return;
    const message = `There are ${MOST_PROJECTS} projects, and this server keeps no more; delete one first.`;
    throw new ConflictException({ message });
  }
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
