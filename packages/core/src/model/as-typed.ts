/**
 * What did not parse is kept as typed in its field, with the reason, and counts as missing for the checks.
 * Nothing typed is silently corrected or thrown away.
 */
export interface AsTyped {
  typed: string;
}

export function isTyped(value: unknown): value is AsTyped {
  return typeof value === 'object' && value !== null && 'typed' in value;
}

/** The value where it could be read, otherwise null. */
export function readable<T>(value: T | AsTyped | null | undefined): T | null {
  return value === null || value === undefined || isTyped(value) ? null : value;
}
