import { validateSync } from 'class-validator';
import { CLASSES } from './classes.js';
import { ID_PATTERN } from './fields.js';
import { KIND_WORDS, PROJECT_ID, type Kind } from './kinds.js';
import { LONGEST_TYPED } from './longest.js';
import { nestedFieldsOf, type NestedField } from './nested.js';
import { quoted, type Problem } from './problem.js';

interface Found {
  path: string[];
  found: string;
  expected: string;
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function inspectObject(type: new () => object, value: unknown, path: string[]): Found[] {
  if (!isObject(value)) return [{ path, found: quoted(value), expected: 'must be an object' }];
  const nested = nestedFieldsOf(type);
  const nestedNames = new Set(nested.map((n) => n.field));
  const flat = new type() as Record<string, unknown>;
  const found: Found[] = [];
  for (const [key, field] of Object.entries(value)) {
    if (key === '__proto__') found.push({ path: [...path, key], found: quoted(field), expected: 'is no field of it' });
    else if (!nestedNames.has(key)) flat[key] = field;
  }
  const errors = validateSync(flat, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: false });
  for (const error of errors) {
    const rules = error.constraints ?? {};
    const message = 'whitelistValidation' in rules ? 'is no field of it' : (Object.values(rules)[0] ?? 'is not valid');
    found.push({
      path: [...path, error.property],
      found: quoted(value[error.property]),
      expected: message.startsWith(error.property) ? message.slice(error.property.length + 1) : message,
    });
  }
  for (const field of nested) found.push(...inspectNested(field, value[field.field], [...path, field.field]));
  return found;
}

function inspectNested(field: NestedField, value: unknown, path: string[]): Found[] {
  if (value === null || value === undefined) {
    return field.nullable ? [] : [{ path, found: quoted(value), expected: 'must be an object' }];
  }
  if (field.orTyped && isObject(value) && 'typed' in value) {
    const right = typeof value.typed === 'string' && value.typed.length <= LONGEST_TYPED;
    if (right && Object.keys(value).length === 1) return [];
    return [{ path, found: quoted(value), expected: `must be { typed } alone, a text of at most ${LONGEST_TYPED}` }];
  }
  if (field.shape === 'one') return inspectObject(field.type(), value, path);
  if (!isObject(value)) return [{ path, found: quoted(value), expected: 'must be a list keyed by id' }];
  return Object.entries(value).flatMap(([key, entry]) =>
    ID_PATTERN.test(key)
      ? inspectObject(field.type(), entry, [...path, key])
      : [{ path, found: quoted(key), expected: 'keys must be ids: a letter, then letters, digits and hyphens' }],
  );
}

/**
 * Everything wrong with one entity that comes in from outside, each with the full path of the field.
 * It costs some fifteen times what parsing does: only what enters is inspected, never what is stored.
 */
export function inspectEntity(kind: Kind, value: unknown): Problem[] {
  const id = isObject(value) && typeof value.id === 'string' ? value.id : undefined;
  const found = inspectObject(CLASSES[kind], value, []);
  if (kind === 'project' && id !== undefined && id !== PROJECT_ID) {
    found.push({ path: ['id'], found: quoted(id), expected: `must be "${PROJECT_ID}"` });
  }
  return found.map((f) => ({
    where: `${KIND_WORDS[kind]} ${id ?? 'without id'}${f.path.length > 0 ? `, ${f.path.join('.')}` : ''}`,
    kind,
    id,
    path: f.path,
    found: f.found,
    expected: f.expected,
  }));
}
