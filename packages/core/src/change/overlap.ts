import type { Change, ChangeSet } from './change.js';

/** Whether two changes touch the same field, or one of them something inside the other's. */
function meets(a: Change, b: Change): boolean {
  if (a.id !== b.id) return false;
  const shorter = Math.min(a.path.length, b.path.length);
  for (let i = 0; i < shorter; i++) if (a.path[i] !== b.path[i]) return false;
  return true;
}

/** Whether a later change set builds on the paths of an earlier one. */
export function overlapsPaths(later: ChangeSet, earlier: ChangeSet): boolean {
  const byId = new Map<string, Change[]>();
  for (const change of earlier.changes) byId.set(change.id, [...(byId.get(change.id) ?? []), change]);
  return later.changes.some((change) => byId.get(change.id)?.some((other) => meets(change, other)));
}
