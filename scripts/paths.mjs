import { createHash } from 'node:crypto';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's own folders. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
/** Where the database and the log lie; DATA_FOLDER says another place. */
export const DATA = process.env.DATA_FOLDER ? resolve(process.env.DATA_FOLDER) : join(ROOT, '.data');
/** Tells this checkout, or its data elsewhere, from others on the same machine. */
export const MARK = createHash('sha256')
  .update(process.env.DATA_FOLDER ? DATA : ROOT)
  .digest('hex')
  .slice(0, 10);
