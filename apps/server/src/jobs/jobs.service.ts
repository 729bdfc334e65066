import { HttpException, Injectable, NotFoundException, type OnModuleDestroy } from '@nestjs/common';
import type { Problem } from '@dialoga/core/model';
import { DataSource, In, type Repository } from 'typeorm';
import { jobTable, NOW, type JobRow } from '../database/tables.js';
import type { ErrorBody } from '../edge/problems.js';
import { Silence } from '../base/silence.js';
import { newId } from '../base/new-id.js';
import type { JobView } from './job.dto.js';

/** How often a process says of its jobs that it is still there. */
const BEAT_MS = 5000;
/** A job of which nothing changed for so long has lost its process. */
const SILENT_MS = 30_000;

/** The work of a job, done elsewhere; gives the project that it made, or null where somebody stopped it. */
export type JobWork = (job: string) => Promise<{ project: string | null }>;

/**
 * Long work off the request: it is started at once, says how far it is in a table that every process reads, can be
 * stopped from any of them, and leaves no half, since each does its writing in one transaction. Whether one is still
 * going on is seen by its beats changing while somebody looks, never by what a clock says: those jump.
 */
@Injectable()
export class JobsService implements OnModuleDestroy {
  private readonly own = new Set<string>();
  private readonly running = new Set<Promise<void>>();
  private readonly silence = new Silence(SILENT_MS);
  private beating: NodeJS.Timeout | null = null;

  private readonly jobs: Repository<JobRow>;

  constructor(database: DataSource) {
    this.jobs = database.getRepository(jobTable);
  }

  /** Starts work that makes a project; gives the job's id. */
  async start(kind: string, work: JobWork): Promise<string> {
    const id = newId();
    const old = "state <> 'running' AND beat < UTC_TIMESTAMP(3) - INTERVAL 1 DAY";
    await this.jobs.createQueryBuilder().delete().where(old).execute();
    const row = { id, kind, state: 'running' as const, step: 'waiting', done: 0, total: 0, stop: 0 };
    await this.jobs.insert({ ...row, beat: NOW });
    this.own.add(id);
    this.beating ??= setInterval(() => void this.beat(), BEAT_MS);
    const run = this.run(id, work).finally(() => this.running.delete(run));
    this.running.add(run);
    return id;
  }

  async get(id: string): Promise<JobView> {
    const row = await this.jobs.findOneBy({ id });
    if (!row) throw new NotFoundException({ message: `There is no job ${id}.` });
    return this.isSilent(row) ? { ...view(row), state: 'failed', message: LOST } : view(row);
  }

  /** Asks a job to stop; it does so at its next step. */
  async stop(id: string): Promise<void> {
    await this.jobs.update({ id }, { stop: 1 });
  }

  /** What is still going on ends with this process: its threads are ended, and their transactions taken back. */
  async onModuleDestroy(): Promise<void> {
    if (this.beating) clearInterval(this.beating);
    const left = [...this.own];
    this.own.clear();
    for (const id of left) await this.close(id, STOPPED).catch(() => undefined);
  }

  private isSilent({ id, state, beat }: JobRow): boolean {
    if (state === 'running') return this.silence.isSilent(id, beat);
    this.silence.forget(id);
    return false;
  }

  private async beat(): Promise<void> {
    const ids = [...this.own];
    if (ids.length === 0) return;
    await this.jobs.update({ state: 'running', id: In(ids) }, { beat: NOW }).catch(() => undefined);
  }

  private async run(id: string, work: JobWork): Promise<void> {
    const outcome = await work(id).then(
      ({ project }): Partial<JobRow> => (project === null ? STOPPED : { state: 'done', project }),
      outcomeOf,
    );
    if (!this.own.delete(id)) return;
    await this.close(id, outcome).catch(() => undefined);
  }

  private async close(id: string, outcome: Partial<JobRow>): Promise<void> {
    await this.jobs.update({ id }, { ...outcome, beat: NOW });
  }
}

const LOST = 'The server that did this was stopped meanwhile; nothing was stored. Start it again.';
const STOPPED: Partial<JobRow> = { state: 'stopped', message: 'It was stopped; nothing was stored.' };

function outcomeOf(error: unknown): Partial<JobRow> {
  if (!(error instanceof HttpException)) {
    return { state: 'failed', message: 'Internal server error; nothing was stored.' };
  }
  const body = error.getResponse() as ErrorBody;
  return { state: 'failed', message: body.message, problems: JSON.stringify(body.problems ?? []) };
}

const view = ({ id, kind, state, step, done, total, project, message, problems }: JobRow): JobView => ({
  id,
  kind,
  state,
  step,
  done,
  total,
  project,
  message,
  problems: problems === null ? [] : (JSON.parse(problems) as Problem[]),
});
