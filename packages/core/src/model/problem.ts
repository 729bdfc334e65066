import type { Kind } from './kinds.js';

/** Something wrong with what came in: where, what was found, and what would be right. A value, not an exception. */
export interface Problem {
  /** where: `claim c12, items.k3.type.base`, or a line of a file */
  where: string;
  /** the entity, where it is one */
  kind?: Kind;
  id?: string;
  path?: readonly string[];
  found: string;
  expected: string;
}

/** `claim c12, items.k3: found "x"; must be …` */
export function problemSentence(problem: Problem): string {
  return `${problem.where}: found ${problem.found}; ${problem.expected}`;
}

/** What was found, short enough for a sentence. */
export function quoted(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'string' ? JSON.stringify(value) : (JSON.stringify(value) ?? String(value));
  return text.length > 60 ? `${text.slice(0, 40)}… (${text.length} characters)` : text;
}
