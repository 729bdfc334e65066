import type { Kind } from './kinds.js';
import { textLength } from './text-length.js';

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

const MOST_SHOWN = 60;
const CUT_AT = 40;

/** What was found, short enough for a sentence, and made with little work however large it is. */
export function quoted(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'string' && value.length > MOST_SHOWN) {
    return `${JSON.stringify(value.slice(0, MOST_SHOWN)).slice(0, CUT_AT)}… (${textLength(value)} characters)`;
  }
  const text = beginningOf(value, MOST_SHOWN + 1);
  return text.length > MOST_SHOWN ? `${text.slice(0, CUT_AT)}…` : text;
}

/** The first characters of a value's JSON text, at least so many where there are. */
function beginningOf(value: unknown, wanted: number): string {
  if (typeof value === 'string') return JSON.stringify(value.slice(0, wanted));
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? String(value);
  const list = Array.isArray(value);
  let text = list ? '[' : '{';
  for (const key in value) {
    if (text.length >= wanted) return text;
    const name = list ? '' : `${JSON.stringify(key.slice(0, wanted))}:`;
    const comma = text.length > 1 ? ',' : '';
    text += comma + name + beginningOf((value as Record<string, unknown>)[key], wanted - text.length);
  }
  return text + (list ? ']' : '}');
}
