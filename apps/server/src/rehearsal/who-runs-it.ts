import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { hostname } from 'node:os';
import { DataSource, In, type Repository } from 'typeorm';
import { newId } from '../base/new-id.js';
import { Silence } from '../base/silence.js';
import { jobTable, NOW, type JobRow } from '../database/tables.js';
import type { ElsewhereView } from './rehearsal.dto.js';

const BEAT_MS = 5000;
/** A rehearsal of which nothing is heard for so long has lost its process. */
const SILENT_MS = 15_000;
const KIND = 'rehearsal';

/** Which process runs which rehearsal, in a table that every process reads; it outlives a process that is killed. */
@Injectable()
export class WhoRunsIt implements OnModuleDestroy {
  private readonly process = `process ${process.pid} on ${hostname()}`;
  private readonly token = newId();
  private readonly own = new Set<string>();
  private readonly silence = new Silence(SILENT_MS);
  private readonly jobs: Repository<JobRow>;
  private beating: NodeJS.Timeout | null = null;

  constructor(database: DataSource) {
    this.jobs = database.getRepository(jobTable);
  }

  async began(project: string, by: string): Promise<void> {
    const row = {
      id: rowOf(project),
      kind: KIND,
      state: 'running' as const,
      step: this.process,
      done: 0,
      total: 0,
      stop: 0,
    };
    await this.jobs.delete({ id: row.id });
    await this.jobs.insert({ ...row, project, message: by, problems: JSON.stringify(this.token), beat: NOW });
    this.own.add(row.id);
    this.beating ??= setInterval(() => void this.beat(), BEAT_MS).unref();
  }

  async ended(project: string): Promise<void> {
    this.own.delete(rowOf(project));
    await this.jobs.delete({ id: rowOf(project) });
  }

  /** A rehearsal that another process runs, or ran until it ended; null: none. */
  async elsewhere(project: string): Promise<ElsewhereView | null> {
    const row = await this.jobs.findOneBy({ id: rowOf(project) });
    if (!row || this.own.has(row.id)) return null;
    const isOver = row.state !== 'running' || this.silence.isSilent(row.id, row.beat);
    return { by: row.message ?? '', process: row.step, heard: row.beat, isOver };
  }

  /** With the process its rehearsals end, and that is said to whoever looks. */
  async onModuleDestroy(): Promise<void> {
    if (this.beating) clearInterval(this.beating);
    const ids = [...this.own];
    this.own.clear();
    if (ids.length > 0) await this.jobs.update({ id: In(ids) }, { state: 'stopped', beat: NOW }).catch(() => undefined);
  }

  private async beat(): Promise<void> {
    const ids = [...this.own];
    if (ids.length > 0) await this.jobs.update({ id: In(ids) }, { beat: NOW }).catch(() => undefined);
  }
}

const rowOf = (project: string): string => `rehearsal-${project}`.slice(0, 64);
