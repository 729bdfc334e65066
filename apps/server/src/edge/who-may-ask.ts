import { isLoopback } from '../base/loopback.js';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { ErrorBody } from './problems.js';

const READS = new Set(['GET', 'HEAD', 'OPTIONS']);
const STREAM = '/api/events';

/**
 * Answers only under names of its own: those of this machine for itself, and those that the configuration names. A page
 * elsewhere whose name is made to lead here is answered 421 [published: RFC 9110, 15.5.20], and so gets nothing.
 */
export function onlyUnderOwnNames(allowed: readonly string[]): RequestHandler {
  const names = new Set(allowed.map((name) => name.toLowerCase()));
  return (request, response, next) => {
    const name = nameOf(request.headers.host ?? '');
    if (isLoopback(name) || names.has(name)) return next();
    const message = `This server does not answer as “${name.slice(0, 100)}”. It answers on this machine as localhost, and under the names in ALLOWED_HOSTS.`;
    response.status(421).json({ message } satisfies ErrorBody);
  };
}

/** Writes, and the stream of news, are for pages of its own and for programs that are no pages; 403 for any other. */
export function onlyForOwnPages(request: Request, response: Response, next: NextFunction): void {
  const { origin, host = '' } = request.headers;
  const asksFreely = READS.has(request.method) && !request.path.startsWith(STREAM);
  if (asksFreely || origin === undefined || hostOf(origin) === host.toLowerCase()) return next();
  response.status(403).json({ message: 'A page of another address may not do this here.' } satisfies ErrorBody);
}

/** `[::1]:4310` → `::1`, `Localhost:4310` → `localhost`. */
function nameOf(host: string): string {
  const name = /^\[([^\]]*)\](?::\d+)?$/.exec(host)?.[1] ?? host.replace(/:\d+$/, '');
  return name.toLowerCase();
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
