import { formatType, parseType } from '../data/types.js';

/** A type as IEC 61131-3 declares it: `REAL ×3` is `ARRAY[0..2] OF REAL`. */
export function declaredType(text: string): string {
  const type = parseType(text);
  const [, named = text, times] = /^(.+?) ×(\d+)$/.exec(text) ?? [];
  if (!type.ok) return times ? `ARRAY[0..${Number(times) - 1}] OF ${named}` : text;
  const { count, bounds } = type.value;
  if (bounds) return formatType(type.value);
  return count === 1 ? formatType(type.value) : `ARRAY[0..${count - 1}] OF ${formatType({ ...type.value, count: 1 })}`;
}
