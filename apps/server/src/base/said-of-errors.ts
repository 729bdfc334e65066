/** The error of another thread as it was thrown there. */
export class ThreadError extends Error {
  constructor(
    readonly code: string | null,
    readonly at: string,
  ) {
    super(`a thread failed${code === null ? '' : ` with ${code}`}`);
  }
}

/** The code of an error, `ER_…` of the database or `E…` of the system, however deep it stands in it. */
export function codeOf(error: unknown): string | null {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: { code?: unknown } };
  const own = code ?? driverError?.code;
  return typeof own === 'string' ? own : null;
}

/** The lines of a stack, without its message: that may quote what people typed. */
export function placesOf(error: unknown): string {
  if (error instanceof ThreadError) return error.at;
  const stack = error instanceof Error ? (error.stack ?? '') : '';
  return stack
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 12)
    .map((line) => line.trim())
    .join('; ');
}
