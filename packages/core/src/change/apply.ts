import { dequal } from 'dequal/lite';
import { KINDS, kindWord, type Entity, type Kind } from '../model/kinds.js';
import type { EntityChange, Reader } from '../model/project.js';
import { quoted } from '../model/problem.js';
import { referencesOf } from '../model/references.js';
import type { Change, ChangeSet, Json } from './change.js';
import { dependentsOf } from './make.js';

/** Why a change set was refused as a whole. */
export type Refusal =
  | { code: 'conflict'; change: Change; stored: Json | undefined; sentence: string }
  | { code: 'not there'; change: Change; sentence: string }
  | { code: 'id taken'; change: Change; sentence: string }
  | { code: 'id differs'; change: Change; sentence: string }
  | { code: 'dangling'; kind: Kind; id: string; path: readonly string[]; target: string; sentence: string }
  | { code: 'depended upon'; kind: Kind; id: string; dependents: { kind: Kind; id: string }[]; sentence: string };

export type Applied = { ok: true; entities: EntityChange[] } | { ok: false; refusal: Refusal };

type Tree = { [key: string]: Json };
const isTree = (value: Json | undefined): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function read(value: Json | undefined, path: readonly string[]): Json | undefined {
  let at = value;
  for (const key of path) at = isTree(at) && Object.hasOwn(at, key) ? at[key] : undefined;
  return at;
}

/** A copy with the value at the path replaced; undefined where the path leads through nothing. */
function written(value: Json | undefined, path: readonly string[], after: Json | undefined): Json | undefined {
  const [key, ...rest] = path;
  if (key === undefined) return after;
  if (!isTree(value)) return undefined;
  const copy: Tree = { ...value };
  if (rest.length === 0) {
    if (after === undefined) delete copy[key];
    else copy[key] = after;
    return copy;
  }
  const inner = written(Object.hasOwn(value, key) ? value[key] : undefined, rest, after);
  if (inner === undefined) return undefined;
  copy[key] = inner;
  return copy;
}

const where = (change: Change) =>
  `${kindWord(change.kind)} ${change.id}${change.path.length > 0 ? `, ${change.path.join('.')}` : ''}`;

/**
 * Applies a change set to what the reader shows: the entities it changes, each before and after, or why it is refused.
 * A conflict: the stored value is not `before`. References must lead somewhere, ids must be new, kinds must fit.
 * Everything else that may be wrong with the values is for the checks to find.
 */
export function apply(reader: Reader, changeSet: ChangeSet): Applied {
  const touched = new Map<string, EntityChange>();
  for (const change of changeSet.changes) {
    const { kind, id, path, before, after } = change;
    const key = `${kind} ${id}`;
    let entry = touched.get(key);
    if (!entry) {
      const stored = reader.get(kind, id);
      entry = { kind, id, before: stored, after: stored };
      touched.set(key, entry);
    }
    const current = entry.after as unknown as Json | undefined;
    if (path.length === 0 && before === undefined && KINDS.some((k) => k !== kind && reader.get(k, id))) {
      return refuse({ code: 'id taken', change, sentence: `${where(change)}: another entity has this id` });
    }
    if (path.length > 0 && current === undefined) {
      return refuse({ code: 'not there', change, sentence: `${where(change)}: there is no such ${kindWord(kind)}` });
    }
    const stored = read(current, path);
    if (!dequal(stored, before)) {
      if (path.length === 0 && before === undefined) {
        return refuse({ code: 'id taken', change, sentence: `${where(change)}: this id is taken` });
      }
      const sentence = `${where(change)}: ${quoted(stored)} is stored where ${quoted(before)} was expected`;
      return refuse({ code: 'conflict', change, stored, sentence });
    }
    const next = written(current, path, after);
    if (path.length > 0 && next === undefined) {
      const sentence = `${where(change)}: the path leads through nothing`;
      return refuse({ code: 'not there', change, sentence });
    }
    if (isTree(next) && next.id !== id) {
      const sentence = `${where(change)}: an entity keeps its id, and ${quoted(next.id)} was to be it`;
      return refuse({ code: 'id differs', change, sentence });
    }
    entry.after = next as unknown as Entity | undefined;
  }
  const entities = [...touched.values()].filter((e) => e.before !== e.after);
  return checkReferences(reader, entities) ?? { ok: true, entities };
}

function checkReferences(reader: Reader, entities: EntityChange[]): Applied | null {
  const after = new Map(entities.map((e) => [`${e.kind} ${e.id}`, e.after]));
  const exists = (kind: Kind, id: string) => {
    const key = `${kind} ${id}`;
    return after.has(key) ? after.get(key) !== undefined : reader.get(kind, id) !== undefined;
  };
  for (const { kind, id, before, after: entity } of entities) {
    if (entity === undefined) {
      const dependents = dependentsOf(reader, id).filter((d) => {
        const key = `${d.kind} ${d.id}`;
        if (!after.has(key)) return true;
        const changed = after.get(key);
        return changed !== undefined && referencesOf(d.kind, changed).some((r) => r.id === id);
      });
      if (dependents.length > 0) {
        const names = dependents.slice(0, 3).map((d) => `${kindWord(d.kind)} ${d.id}`);
        const more = dependents.length > 3 ? ` and ${dependents.length - 3} more` : '';
        const sentence = `${kindWord(kind)} ${id}: ${names.join(', ')}${more} depend on it`;
        return refuse({ code: 'depended upon', kind, id, dependents, sentence });
      }
      continue;
    }
    const old = new Set(before ? referencesOf(kind, before).map((r) => `${r.path.join('.')} ${r.id}`) : []);
    for (const r of referencesOf(kind, entity)) {
      if (old.has(`${r.path.join('.')} ${r.id}`) && !after.has(`${r.kind} ${r.id}`)) continue;
      if (exists(r.kind, r.id)) continue;
      const sentence = `${kindWord(kind)} ${id}, ${r.path.join('.')}: there is no ${kindWord(r.kind)} ${quoted(r.id)}`;
      return refuse({ code: 'dangling', kind, id, path: r.path, target: r.id, sentence });
    }
  }
  return null;
}

function refuse(refusal: Refusal): Applied {
  return { ok: false, refusal };
}
