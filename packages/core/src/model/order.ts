import type { Entity, EntityOf, Kind } from './kinds.js';
import type { Project, Reader } from './project.js';

const orderKey = (entity: Entity): number => (entity as { order?: number }).order ?? 0;

/** By order key, then by id. The only order in which entities are listed anywhere. */
export function byOrder(a: Entity, b: Entity): number {
  return orderKey(a) - orderKey(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}

/** Mostly they come in order, and need no sorting. */
function inOrderAlready(list: readonly Entity[]): boolean {
  let last = -Infinity;
  for (let i = 0; i < list.length; i++) {
    const order = orderKey(list[i]!);
    if (order < last || (order === last && byOrder(list[i - 1]!, list[i]!) > 0)) return false;
    last = order;
  }
  return true;
}

/** Long lists that were put together once, by the ids that they were made of, for as long as the project is the same. */
const longLists = new WeakMap<readonly string[], { reader: Reader; children: Entity[] }>();
const LONG = 1000;

/** The entities of one kind that refer to this id, in order: the lanes of an exchange, the ports of a network … */
export function childrenOf<K extends Kind>(reader: Reader, kind: K, id: string): EntityOf[K][] {
  const ids = reader.referrers(kind, id);
  const long = reader.fixed && ids.length > LONG ? longLists.get(ids) : undefined;
  if (long && long.reader === reader) return long.children.slice() as EntityOf[K][];
  const children: EntityOf[K][] = [];
  for (const child of ids) {
    const entity = reader.get(kind, child);
    if (entity) children.push(entity);
  }
  if (!inOrderAlready(children)) children.sort(byOrder);
  if (reader.fixed && ids.length > LONG) longLists.set(ids, { reader, children: children.slice() });
  return children;
}

export function inOrder<K extends Kind>(project: Project, kind: K): EntityOf[K][] {
  return [...project.all(kind)].sort(byOrder);
}

/** The entries of a keyed list, by their order key and then their key. */
export function entriesInOrder<T extends { order: number }>(list: Record<string, T>): [string, T][] {
  return Object.entries(list).sort(([ka, a], [kb, b]) => a.order - b.order || (ka < kb ? -1 : 1));
}

/** An order key that comes after all of these. */
export function orderAfter(list: Iterable<{ order: number }>): number {
  let last = 0;
  for (const { order } of list) last = Math.max(last, order);
  return last + 10;
}
