import { KINDS, type Entity, type EntityOf, type Kind } from '../model/kinds.js';
import type { Reader } from '../model/project.js';
import { referencesOf, type Reference } from '../model/references.js';
import type { Change, Json } from './change.js';

const isRecord = (value: unknown): value is Record<string, Json> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function valueAt(entity: unknown, path: readonly string[]): Json | undefined {
  let value: unknown = entity;
  for (const key of path) value = isRecord(value) && Object.hasOwn(value, key) ? value[key] : undefined;
  return value as Json | undefined;
}

/** The change that puts a new entity. */
export function put<K extends Kind>(kind: K, entity: EntityOf[K]): Change {
  return { kind, id: entity.id, path: [], after: entity as unknown as Json };
}

/** The change that sets one field; `after` undefined takes the field out. */
export function set(kind: Kind, entity: Entity, path: readonly string[], after: unknown): Change {
  const before = valueAt(entity, path);
  const change: Change = { kind, id: entity.id, path };
  if (before !== undefined) change.before = before;
  if (after !== undefined) change.after = after as Json;
  return change;
}

/**
 * The changes that drop an entity with all that depends on it: its parts go with it, and elsewhere the fields that
 * name it are emptied. One undo brings all of it back.
 */
export function dropWithDependents(reader: Reader, kind: Kind, id: string): Change[] {
  const dropped = new Map<string, { kind: Kind; entity: Entity }>();
  const others = new Map<string, { kind: Kind; entity: Entity; fields: Reference[] }>();
  const visit = (at: Kind, target: string) => {
    const entity = reader.get(at, target);
    if (!entity || dropped.has(target)) return;
    dropped.set(target, { kind: at, entity });
    for (const { kind: k, id: dependent } of dependentsOf(reader, target)) {
      const holder = reader.get(k, dependent);
      if (!holder) continue;
      const fields = referencesOf(k, holder).filter((r) => r.id === target);
      if (fields.some(({ whenGone }) => whenGone === 'its owner goes' || whenGone === 'it goes')) visit(k, dependent);
      else {
        const known = others.get(dependent) ?? { kind: k, entity: holder, fields: [] };
        known.fields.push(...fields);
        others.set(dependent, known);
      }
    }
  };
  visit(kind, id);
  const changes: Change[] = [];
  for (const { kind: k, entity, fields } of others.values()) {
    if (dropped.has(entity.id)) continue;
    for (const reference of fields) changes.push(emptied(k, entity, reference));
  }
  for (const { kind: k, entity } of [...dropped.values()].reverse()) {
    changes.push({ kind: k, id: entity.id, path: [], before: entity as unknown as Json });
  }
  return changes;
}

/** A list entry goes; a place or a type goes whole; any other reference becomes null. */
function emptied(kind: Kind, entity: Entity, { path, whenGone }: Reference): Change {
  if (whenGone === 'entry dropped') return set(kind, entity, path, undefined);
  return set(kind, entity, whenGone === 'whole emptied' ? path.slice(0, -1) : path, null);
}

/** Everything that refers to this id. */
export function dependentsOf(reader: Reader, id: string): { kind: Kind; id: string }[] {
  return KINDS.flatMap((kind) => reader.referrers(kind, id).map((dependent) => ({ kind, id: dependent })));
}
