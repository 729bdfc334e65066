import type { NextFunction, Request, Response } from 'express';
import type { ErrorBody } from './problems.js';

const SENTENCES: Record<string, string> = {
  'entity.parse.failed': 'The body is not JSON.',
  'entity.too.large': 'The body is too large.',
  'encoding.unsupported': 'The body must be plain or gzip-encoded UTF-8.',
  'encoding.not.utf8': 'The body is not UTF-8; nothing was changed.',
  'charset.unsupported': 'The body must be UTF-8.',
  'request.size.invalid': 'The body is shorter or longer than its length says.',
};

/** What cannot be read of a request's body, in a sentence. Comes right after what reads bodies. */
export function bodyErrors(error: unknown, _request: Request, response: Response, next: NextFunction): void {
  const { status, type } = (error ?? {}) as { status?: number; type?: string };
  if (typeof status !== 'number' || status < 400 || status >= 500) return next(error);
  const message = SENTENCES[type ?? ''] ?? 'The request cannot be read.';
  response.status(status).json({ message } satisfies ErrorBody);
}
