import { randomBytes } from 'node:crypto';
import type { IncomingMessage, ServerResponse } from 'node:http';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';

/**
 * One line a request: its id, what was asked for, how it ended. Never what was sent or asked with: no query, header,
 * body or address of a caller. The id is also in the answer, so that somebody can name the request that failed.
 */
export function requestLog(log: Logger, enabled: boolean) {
  return pinoHttp({
    logger: log,
    autoLogging: enabled,
    genReqId: (_request: IncomingMessage, response: ServerResponse) => {
      const id = randomBytes(6).toString('hex');
      response.setHeader('X-Request-Id', id);
      return id;
    },
    serializers: {
      req: ({ id, method, url }: { id: string; method: string; url: string }) => ({
        id,
        method,
        url: url.replace(/\?.*$/s, '').slice(0, 200),
      }),
      res: ({ statusCode }: { statusCode: number }) => ({ statusCode }),
      err: () => undefined,
    },
  });
}
