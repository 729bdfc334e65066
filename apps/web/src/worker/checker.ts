import { transfer, wrap, type Remote } from 'comlink';
import type { Checker } from './checker.worker';

let remote: Remote<Checker> | null = null;

/** The one worker that checks; made at the first need. */
export function checker(): Remote<Checker> {
  remote ??= wrap<Checker>(new Worker(new URL('./checker.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

/** Hands a copy of the bytes over without blocking the page. */
export function openInChecker(bytes: ArrayBuffer) {
  const copy = bytes.slice(0);
  return checker().open(transfer(copy, [copy]));
}

/** Compares two revisions off the page. */
export function compareInWorker(before: ArrayBuffer, after: ArrayBuffer) {
  return checker().compare(transfer(before, [before]), transfer(after, [after]));
}
