import type { Read } from './read.js';
import { parseWhole } from './field-edit.js';

const DAY_MS = 86_400_000;

/** `100`, `100 ms`, `2 s`, `1 min`; as ms, from 1 ms to a day. */
export function parseTime(text: string, what: string): Read<number> {
  const match = /^(\d{1,9})\s*(ms|s|min)?$/i.exec(text.trim());
  const factor = { ms: 1, s: 1000, min: 60_000 }[(match?.[2] ?? 'ms').toLowerCase() as 'ms' | 's' | 'min'];
  return parseWhole(match ? String(Number(match[1]) * factor) : text, 1, DAY_MS, `${what} in ms`);
}
