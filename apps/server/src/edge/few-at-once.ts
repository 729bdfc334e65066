import type { Request, RequestHandler } from 'express';
import { MOST_SMALL_BODY } from './limits.js';
import type { ErrorBody } from './problems.js';

/**
 * Lets a few large bodies through at once, since each may take what it may hold in memory: 503 for one more. A body is
 * small where it says so and is not compressed; edits as people make them are.
 */
export function fewLargeAtOnce(most: number): RequestHandler {
  let open = 0;
  return (request, response, next) => {
    if (isSmall(request)) return next();
    if (open >= most) {
      const message = 'The server takes in other large things just now; try again in a moment.';
      response
        .status(503)
        .set('Retry-After', '1')
        .json({ message } satisfies ErrorBody);
      return;
    }
    open++;
    response.once('close', () => open--);
    next();
  };
}

function isSmall({ headers }: Request): boolean {
  const length = Number(headers['content-length'] ?? (headers['transfer-encoding'] ? NaN : 0));
  return length <= MOST_SMALL_BODY && (headers['content-encoding'] ?? 'identity') === 'identity';
}
