import { HttpException } from '@nestjs/common';
import type { ErrorBody } from '../edge/problems.js';
import { isDiskFull } from '../health/disk-full.js';

/** What comes out of another thread: errors cross as values, since they lose what they say on the way. */
export type Outcome<T> =
  | { done: T }
  /** an answer other than the hoped-for one, with its sentence */
  | { refused: { status: number; body: ErrorBody } }
  /** a mistake of ours, or the database's: its code and where it happened, never what it was about */
  | { failed: { code: string | null; at: string } };

/** Runs a piece of work of a thread, and says what came of it. */
export async function outcomeOf<T>(work: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { done: await work() };
  } catch (error) {
    if (error instanceof HttpException) {
      const body = error.getResponse();
      const plain = typeof body === 'string' ? { message: body } : (body as ErrorBody);
      return { refused: { status: error.getStatus(), body: plain } };
    }
    const code = codeOf(error);
    return { failed: { code: isDiskFull(code, error) ? 'ENOSPC' : code, at: placesOf(error) } };
  }
}

/** The error of another thread as it was thrown there. */
export class ThreadError extends Error {
  constructor(
    readonly code: string | null,
    readonly at: string,
  ) {
    super(`a thread failed${code === null ? '' : ` with ${code}`}`);
  }
}

/** What was hoped for; throws what the thread threw. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if ('done' in outcome) return outcome.done;
  if ('refused' in outcome) throw new HttpException(outcome.refused.body, outcome.refused.status);
  throw new ThreadError(outcome.failed.code, outcome.failed.at);
}

/** The code of an error, `ER_…` of the database or `E…` of the system, however deep it stands in it. */
export function codeOf(error: unknown): string | null {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: { code?: unknown } };
  const own = code ?? driverError?.code;
  return typeof own === 'string' ? own : null;
}

/** The lines of a stack, without its message: that may quote what people typed. */
export function placesOf(error: unknown): string {
  if (error instanceof ThreadError) return error.at;
  const stack = error instanceof Error ? (error.stack ?? '') : '';
  return stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12)
    .map((line) => line.trim())
    .join('; ');
}
