import { ArgumentsHost, Catch, HttpException, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import type { Logger } from 'pino';
import type { ErrorBody } from './problems.js';

/** Every error answer has one shape; nothing of the inside reaches a client. */
@Catch()
export class ErrorFilter implements ExceptionFilter {
  constructor(private readonly log: Logger) {}

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
      response.status(error.getStatus()).json({ message, problems, refusal } satisfies ErrorBody);
      return;
    }
    if (isDatabaseAway(error)) {
      response.status(503).json({ message: 'The database does not answer; try again.' } satisfies ErrorBody);
      return;
    }
    const { method, url } = http.getRequest<Request>();
    this.log.error({ err: error, method, url }, 'request failed');
    response.status(500).json({ message: 'Something went wrong here.' } satisfies ErrorBody);
  }
}

const AWAY = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'PROTOCOL_CONNECTION_LOST', 'ER_SERVER_SHUTDOWN']);

/** The connection broke, or there is none: what was sent may be stored or not, and can be sent again. */
function isDatabaseAway(error: unknown): boolean {
  const {
    code,
    driverError,
    message = '',
  } = (error ?? {}) as {
    code?: string;
    driverError?: { code?: string };
    message?: string;
  };
  return AWAY.has(code ?? '') || AWAY.has(driverError?.code ?? '') || message.includes('closed state');
}
