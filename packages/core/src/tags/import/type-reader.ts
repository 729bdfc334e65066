import { read, type Read, squeezed } from '../../text/read.js';
import type { TypeRef } from '../../model/claim.js';
import type { Project } from '../../model/project.js';
import type { Structure } from '../../model/structure.js';
import { parseType } from '../../data/types.js';

const NAMED =
  /^(?:ARRAY\s*\[\s*(\d+)\s*\.\.\s*(\d+)\s*\]\s*OF\s+)?([^[\]×*]+?)\s*(?:\[\s*(\d+)\s*\])?\s*(?:[×*]\s*(\d+))?$/i;

/** Reads types as `readType` does, of the project's structures and of those that come with them; each text once. */
export function typeReader(project: Project, created: readonly Structure[]): (text: string) => Read<TypeRef> {
  const structures = new Map([...project.all('structure'), ...created].map((s) => [s.name.toLowerCase(), s]));
  const known = new Map<string, Read<TypeRef>>();
  const readText = (text: string): Read<TypeRef> => {
    const match = NAMED.exec(squeezed(text));
    const structure = match && structures.get(match[3]!.trim().toLowerCase());
    if (!match || !structure) return parseType(text);
    const [, from, to, , bracket, times] = match;
    const bounds = from === undefined ? 1 : Number(to) - Number(from) + 1;
    const count = Math.max(1, bounds) * Number(bracket ?? 1) * Number(times ?? 1);
    return read({ base: 'STRUCT', count: Math.max(1, count), structure: structure.id });
  };
  return (text) => {
    const before = known.get(text);
    if (before) return before;
    const result = readText(text);
    known.set(text, result);
    return result;
  };
}
