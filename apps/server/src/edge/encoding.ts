import { isUtf8 } from 'node:buffer';

/** A body that is not UTF-8 would be read with other characters in the place of what was sent. */
export function refuseOtherEncodings(_request: unknown, _response: unknown, body: Buffer): void {
  if (isUtf8(body)) return;
  throw Object.assign(new Error('not UTF-8'), { status: 400, type: 'encoding.not.utf8' });
}
