import { DEEPEST, isTooDeep } from '@dialoga/core/entry';
import type { NextFunction, Request, Response } from 'express';
import type { ErrorBody } from './problems.js';

export function refuseTooDeep(request: Request, response: Response, next: NextFunction): void {
  const { body } = request as { body: unknown };
  if (Buffer.isBuffer(body) || !isTooDeep(body)) return next();
  response.status(400).json({ message: `The body nests deeper than ${DEEPEST} levels.` } satisfies ErrorBody);
}
