/**
 * Codes of MariaDB and of the system for a disk, or what may be used of it, that has no room [published: MariaDB
 * Documentation, Error Codes 1021, 1026, 1030, 1114] [from memory].
 */
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE', 'ENOSPC', 'EDQUOT']);
const NO_SPACE = /\b(?:28|122)\b.*(?:space|quota)|errno: 28\b|error 28\b/i;

/** Whether the error says that there is no room. Its message is looked at here and told nobody. */
export function isDiskFull(code: string | null, error: unknown): boolean {
  if (code !== null && FULL.has(code)) return true;
  const { sqlMessage = '', message = '' } = (error ?? {}) as { sqlMessage?: string; message?: string };
  return code === 'ER_GET_ERRNO' || code === 'ER_ERROR_DURING_COMMIT'
    ? NO_SPACE.test(`${sqlMessage} ${message}`)
    : false;
}
