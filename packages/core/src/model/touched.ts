import { listKey, type EntityChange } from './project.js';
import { listsOf } from './references.js';

/** Everything that is read otherwise after a change of one entity: itself, and the lists that it came into or left. */
export function touchedBy({ kind, id, before, after }: EntityChange): string[] {
  const old = before ? listsOf(kind, before) : [];
  const now = after ? listsOf(kind, after) : [];
  const left = old.filter((target) => !after || !now.includes(target));
  const entered = now.filter((target) => !before || !old.includes(target));
  return [id, ...[...left, ...entered].map((target) => listKey(kind, target))];
}
