import { randomBytes } from 'node:crypto';

/** An id that starts with a letter and is not digits only. */
export function newId(): string {
  return `p${randomBytes(9).toString('hex')}`;
}
