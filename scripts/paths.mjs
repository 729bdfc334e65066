import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's own folders. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
export const DATA = join(ROOT, '.data');
/** Tells this checkout from others on the same machine. */
export const MARK = createHash('sha256').update(ROOT).digest('hex').slice(0, 10);
