import { promisify } from 'node:util';
import { constants, gzip } from 'node:zlib';

const FAST = { level: constants.Z_BEST_SPEED };

/** Text as gzip makes it. */
export async function compressed(text: string): Promise<Uint8Array> {
  return new Uint8Array(await promisify(gzip)(text, FAST));
}
