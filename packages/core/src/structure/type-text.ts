import { type Read, squeezed } from '../text/read.js';
import { counted, parseType, formatType } from '../data/types.js';
import type { TypeRef } from '../model/claim.js';
import type { Project, Reader } from '../model/project.js';

/** A type as it is written: a structure by its name. The inverse of `readType`. */
export function typeText(reader: Reader, type: TypeRef): string {
  if (!type.structure) return formatType(type);
  const name = reader.get('structure', type.structure)?.name ?? 'a structure that is gone';
  return type.count === 1 ? name : `${name} ×${type.count}`;
}

const NAMED = /^([^[\]×*]+?)\s*(?:\[\s*(\d+)\s*\])?\s*(?:[×*]\s*(\d+))?$/;

/** A text as an elementary type, or as the name of one of the project's structures, either with a count for an array. */
export function readType(project: Project, text: string): Read<TypeRef> {
  const match = NAMED.exec(squeezed(text));
  const name = match?.[1]?.trim().toLowerCase();
  const structure = name && [...project.all('structure')].find((s) => s.name.toLowerCase() === name);
  if (!match || !structure) return parseType(text);
  const count = Number(match[2] ?? 1) * Number(match[3] ?? 1);
  return counted(text.trim(), { base: 'STRUCT', count: Math.max(1, count), structure: structure.id });
}
