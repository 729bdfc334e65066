import { dequal } from 'dequal/lite';
import { KINDS, type EntityOf, type Kind } from '../model/kinds.js';
import type { Project } from '../model/project.js';
import type { Change, Json } from './change.js';

type Tree = { [key: string]: Json };
const isTree = (value: Json | undefined): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** The changes that lead from one project to another: whole entities that came or went, single fields that differ. */
export function diff(from: Project, to: Project): Change[] {
  const changes: Change[] = [];
  for (const kind of KINDS) {
    for (const before of from.all(kind)) {
      const after = to.get(kind, before.id);
      if (after !== before) changes.push(...entityChanges(kind, before, after));
    }
    for (const after of to.all(kind)) {
      if (!from.get(kind, after.id)) changes.push(...entityChanges(kind, undefined, after));
    }
  }
  return changes;
}

/** The changes that make one entity of another; of nothing, or nothing of it. */
export function entityChanges<K extends Kind>(
  kind: K,
  before: EntityOf[K] | undefined,
  after: EntityOf[K] | undefined,
): Change[] {
  const changes: Change[] = [];
  const id = (after ?? before)?.id;
  if (id !== undefined) {
    compare({ kind, id }, [], before as unknown as Json | undefined, after as unknown as Json | undefined, changes);
  }
  return changes;
}

function compare(
  base: Pick<Change, 'kind' | 'id'>,
  path: readonly string[],
  before: Json | undefined,
  after: Json | undefined,
  out: Change[],
): void {
  if (isTree(before) && isTree(after)) {
    for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
      compare(base, [...path, key], before[key], after[key], out);
    }
  } else if (!dequal(before, after)) {
    const change: Change = { ...base, path };
    if (before !== undefined) change.before = before;
    if (after !== undefined) change.after = after;
    out.push(change);
  }
}
