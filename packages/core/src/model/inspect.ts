import { getMetadataStorage, validateSync } from 'class-validator';
import { ID_PATTERN } from './fields.js';
import { CLASSES, kindWord, PROJECT_ID, type Kind } from './kinds.js';
import { isKeptText } from './kept-text.js';
import { LONGEST_TYPED } from './lengths.js';
import { declaredOf, type NestedField } from './declared.js';
import { quoted, type Problem } from './problem.js';

/** A field that is wrong. */
export interface Found {
  path: string[];
  found: string;
  expected: string;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** More is not told of one entity: who sent it sees what is wrong, and the answer stays small. */
const MOST_FOUND = 100;

const flatFields = new Map<object, ReadonlySet<string>>();

/** The fields of a class that hold no checked thing. What is inherited by every object is none of them. */
function flatFieldsOf(type: new () => object): ReadonlySet<string> {
  const known = flatFields.get(type);
  if (known) return known;
  const rules = getMetadataStorage().getTargetValidationMetadatas(type, '', true, false);
  const fields = new Set(rules.map((rule) => rule.propertyName));
  flatFields.set(type, fields);
  return fields;
}

/** Everything wrong with the fields of one thing that comes in from outside, each with its path; a hundred at most. */
export function inspectFields(type: new () => object, value: unknown, path: string[] = []): Found[] {
  if (!isObject(value)) return [{ path, found: quoted(value), expected: 'must be an object' }];
  const nested = declaredOf(type).nested;
  const nestedNames = new Set(nested.map((n) => n.field));
  const fields = flatFieldsOf(type);
  const flat = new type() as Record<string, unknown>;
  const found: Found[] = [];
  for (const [key, field] of Object.entries(value)) {
    if (found.length >= MOST_FOUND) return found;
    if (fields.has(key)) flat[key] = field;
    else if (!nestedNames.has(key)) {
      found.push({
        path: [...path, key.length > 60 ? quoted(key) : key],
        found: quoted(field),
        expected: 'is no field of it',
      });
    }
  }
  for (const error of validateSync(flat, { forbidUnknownValues: false })) {
    const message = Object.values(error.constraints ?? {})[0] ?? 'is not valid';
    found.push({
      path: [...path, error.property],
      found: quoted(value[error.property]),
      expected: message.startsWith(error.property) ? message.slice(error.property.length + 1) : message,
    });
  }
  for (const { field, ...how } of nested) {
    if (found.length >= MOST_FOUND) break;
    const inner = Object.hasOwn(value, field) ? value[field] : undefined;
    found.push(...inspectNested({ field, ...how }, inner, [...path, field]));
  }
  return found;
}

function inspectNested(field: NestedField, value: unknown, path: string[]): Found[] {
  if (value === null || value === undefined) {
    return field.nullable ? [] : [{ path, found: quoted(value), expected: 'must be an object' }];
  }
  if (field.orTyped && isObject(value) && Object.hasOwn(value, 'typed')) {
    if (isKeptText(value)) return [];
    return [{ path, found: quoted(value), expected: `must be { typed } alone, a text of at most ${LONGEST_TYPED}` }];
  }
  if (field.shape === 'one') return inspectFields(field.type(), value, path);
  if (!isObject(value)) return [{ path, found: quoted(value), expected: 'must be a list keyed by id' }];
  const found: Found[] = [];
  for (const [key, entry] of Object.entries(value)) {
    if (found.length >= MOST_FOUND) break;
    if (ID_PATTERN.test(key)) found.push(...inspectFields(field.type(), entry, [...path, key]));
    else
      found.push({
        path,
        found: quoted(key),
        expected: 'keys must be ids: a letter, then letters, digits and hyphens',
      });
  }
  return found;
}

/**
 * Everything wrong with one entity that comes in from outside, each with the full path of the field.
 * It costs some fifteen times what parsing does: only what enters is inspected, never what is stored.
 */
export function inspectEntity(kind: Kind, value: unknown): Problem[] {
  const id = isObject(value) && typeof value.id === 'string' ? value.id : undefined;
  const found = inspectFields(CLASSES[kind], value, []);
  if (kind === 'project' && id !== undefined && id !== PROJECT_ID) {
    found.push({ path: ['id'], found: quoted(id), expected: `must be "${PROJECT_ID}"` });
  }
  return found.map((f) => ({
    where: `${kindWord(kind)} ${id ?? 'without id'}${f.path.length > 0 ? `, ${f.path.join('.')}` : ''}`,
    kind,
    id,
    path: f.path,
    found: f.found,
    expected: f.expected,
  }));
}
