import type { DataSource } from 'typeorm';
import { jobTable, NOW } from '../database/tables.js';

/** How often progress is stored, at most. */
const TELL_MS = 150;

/** Says how far a job is; throws `Stopped` where somebody wants it to end. */
export type Tell = (step: string, done: number, total: number) => Promise<void>;

/** Somebody wanted the job to end, and it did. */
export class Stopped extends Error {}

/** What the work of a job is given to say how far it is, in the table that every process reads. */
export function tellerOf(database: DataSource, job: string): Tell {
  const jobs = database.getRepository(jobTable);
  let last = -Infinity;
  return async (step, done, total) => {
    if (performance.now() - last < TELL_MS && done < total) return;
    last = performance.now();
    const row = await jobs.findOne({ select: { stop: true }, where: { id: job } });
    if (row?.stop === 1) throw new Stopped();
    await jobs.update({ id: job }, { step, done, total, beat: NOW });
  };
}

/** What became of the work of a job: the project that it made, or null where it was stopped. */
export async function unlessStopped(work: () => Promise<string>): Promise<{ project: string | null }> {
  try {
    return { project: await work() };
  } catch (error) {
    if (error instanceof Stopped) return { project: null };
    throw error;
  }
}
