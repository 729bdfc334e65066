import { ArgumentsHost, Catch, HttpException, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Logger } from 'pino';
import { DISK_FULL, type Disk } from './disk/disk.js';
import { isDiskFull } from './disk/disk-full.js';
import { described } from './base/log.js';
import { codeOf } from './base/said-of-errors.js';
import type { ErrorBody } from './edge/problems.js';

/** Every error answer has one shape; nothing of the inside reaches a client, and nothing of a client the log. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  constructor(
    private readonly log: Logger,
    private readonly disk: Disk,
  ) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const response = http.getResponse<Response>();
    if (response.headersSent) {
      response.destroy();
      return;
    }
    if (error instanceof HttpException) {
      const body = error.getResponse();
      const plain: ErrorBody = typeof body === 'string' ? { message: body } : (body as ErrorBody);
      const { problems, refusal } = plain;
      const message = typeof plain.message === 'string' ? plain.message : error.message;
      const status = error.getStatus();
      if (status === 503) response.set('Retry-After', '1');
      response.status(status).json({ message, problems, refusal } satisfies ErrorBody);
      return;
    }
    const code = codeOf(error);
    const { id } = http.getRequest<Request & { id?: unknown }>();
    if (isDiskFull(code, error)) {
      this.log.error({ request: id, ...described(error) }, 'the disk of the database is full');
      this.disk.refusedIt();
      response.status(507).json({ message: DISK_FULL } satisfies ErrorBody);
      return;
    }
    if (isDatabaseAway(code, error)) {
      response
        .status(503)
        .set('Retry-After', '1')
        .json({ message: 'The database does not answer; try again.' } satisfies ErrorBody);
      return;
    }
    this.log.error({ request: id, ...described(error) }, 'request failed');
    response.status(500).json({ message: 'Internal server error.' } satisfies ErrorBody);
  }
}

const AWAY = new Set([
  ...['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'PROTOCOL_CONNECTION_LOST', 'ER_SERVER_SHUTDOWN'],
  ...['ER_CON_COUNT_ERROR', 'ER_NEW_ABORTING_CONNECTION', 'ER_CONNECTION_KILLED', 'ER_LOCK_WAIT_TIMEOUT'],
]);

/** The connection broke, or there is none: what was sent may be stored or not, and can be sent again. */
function isDatabaseAway(code: string | null, error: unknown): boolean {
  const { message = '' } = (error ?? {}) as { message?: string };
  return (code !== null && AWAY.has(code)) || message.includes('closed state');
}
