import { formatType } from '../data/types.js';
import type { TypeRef } from '../model/claim.js';
import type { Reader } from '../model/project.js';

/** A type as it is written: a structure by its name. The inverse of `readType`. */
export function typeText(reader: Reader, type: TypeRef): string {
  if (!type.structure) return formatType(type);
  const name = reader.get('structure', type.structure)?.name ?? 'a structure that is gone';
  return type.count === 1 ? name : `${name} ×${type.count}`;
}
