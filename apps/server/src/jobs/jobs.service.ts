import { HttpException, Injectable, NotFoundException, type OnModuleDestroy } from '@nestjs/common';
import type { Problem } from '@dialoga/core';
import { DataSource } from 'typeorm';
import { jobTable, type JobRow } from '../database/tables.js';
import type { ErrorBody } from '../edge/problems.js';
import { newId } from '../new-id.js';
import type { JobView } from './job.dto.js';

/** How often progress is stored, at most. */
const TELL_MS = 150;
/** A job of which nothing was heard for so long has lost its process. */
const SILENT_MS = 30_000;

/** What the work is given to say how far it is; it throws where the work is to stop. */
export type Tell = (step: string, done: number, total: number) => Promise<void>;

class Stopped extends Error {}

/**
 * Long work off the request: it is started at once, says how far it is in a table that every process reads, can be
 * stopped from any of them, and leaves no half, since each does its writing in one transaction.
 */
@Injectable()
export class JobsService implements OnModuleDestroy {
  private ending = false;
  private readonly running = new Set<Promise<void>>();

  constructor(private readonly database: DataSource) {}

  /** Starts work that makes a project; gives the job's id. */
  async start(kind: string, work: (tell: Tell) => Promise<string>): Promise<string> {
    const id = newId();
    await this.database.query('DELETE FROM job WHERE beat < UTC_TIMESTAMP(3) - INTERVAL 1 DAY');
    await this.database.query(
      `INSERT INTO job (id, kind, state, step, done, total, stop, beat)
       VALUES (?, ?, 'running', 'waiting', 0, 0, 0, UTC_TIMESTAMP(3))`,
      [id, kind],
    );
    const run = this.run(id, work).finally(() => this.running.delete(run));
    this.running.add(run);
    return id;
  }

  async get(id: string): Promise<JobView> {
    const row = await this.database.getRepository(jobTable).findOneBy({ id });
    if (!row) throw new NotFoundException({ message: `There is no job ${id}.` });
    return (await this.isSilent(row)) ? { ...view(row), state: 'failed', message: LOST } : view(row);
  }

  /** Asks a job to stop; it does so at its next step. */
  async stop(id: string): Promise<void> {
    await this.database.query('UPDATE job SET stop = 1 WHERE id = ?', [id]);
  }

  async onModuleDestroy(): Promise<void> {
    this.ending = true;
    await Promise.allSettled(this.running);
  }

  private async isSilent({ id, state }: JobRow): Promise<boolean> {
    if (state !== 'running') return false;
    const rows: unknown[] = await this.database.query(
      'SELECT 1 FROM job WHERE id = ? AND beat < UTC_TIMESTAMP(3) - INTERVAL ? SECOND',
      [id, SILENT_MS / 1000],
    );
    return rows.length > 0;
  }

  private async run(id: string, work: (tell: Tell) => Promise<string>): Promise<void> {
    let last = 0;
    const tell: Tell = async (step, done, total) => {
      // Others are answered between two steps.
      await new Promise((resolve) => setImmediate(resolve));
      if (this.ending) throw new Stopped();
      if (Date.now() - last < TELL_MS && done < total) return;
      last = Date.now();
      const rows: { stop: number }[] = await this.database.query('SELECT stop FROM job WHERE id = ?', [id]);
      if (rows[0]?.stop === 1) throw new Stopped();
      await this.database.query('UPDATE job SET step = ?, done = ?, total = ?, beat = UTC_TIMESTAMP(3) WHERE id = ?', [
        step,
        done,
        total,
        id,
      ]);
    };
    try {
      const project = await work(tell);
      await this.close(id, { state: 'done', project });
    } catch (error) {
      await this.close(id, outcomeOf(error)).catch(() => undefined);
    }
  }

  private async close(id: string, outcome: Partial<JobRow>): Promise<void> {
    await this.database.getRepository(jobTable).update({ id }, { ...outcome, beat: () => 'UTC_TIMESTAMP(3)' });
  }
}

const LOST = 'The server that did this was stopped meanwhile; nothing was stored. Start it again.';

function outcomeOf(error: unknown): Partial<JobRow> {
  if (error instanceof Stopped) return { state: 'stopped', message: 'It was stopped; nothing was stored.' };
  if (!(error instanceof HttpException)) {
    return { state: 'failed', message: 'Something went wrong here; nothing was stored.' };
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
