import { HttpException } from '@nestjs/common';
import { codeOf, placesOf, ThreadError } from '../base/said-of-errors.js';
import type { ErrorBody } from '../edge/problems.js';
import { isDiskFull } from '../disk/disk-full.js';

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

/** What was hoped for; throws what the thread threw. */
export function valueOf<T>(outcome: Outcome<T>): T {
  if ('done' in outcome) return outcome.done;
  if ('refused' in outcome) throw new HttpException(outcome.refused.body, outcome.refused.status);
  throw new ThreadError(outcome.failed.code, outcome.failed.at);
}
