import { KINDS, type Entity, type Kind } from '../model/kinds.js';
import type { Reader } from '../model/project.js';
import { ownerOf } from '../model/references.js';
import type { Change } from './change.js';

/** What a deletion does to one thing that stands beside what is deleted. */
export interface Reached {
  /** the exchange, station or other thing of its own that it happens in */
  kind: Kind;
  id: string;
  /** how many of each kind go with it */
  gone: ReadonlyMap<Kind, number>;
  /** fields that named what goes, and are emptied */
  emptied: number;
  /** places that can no longer be read, and stay as they were typed */
  kept: number;
}

/**
 * What the changes of a deletion reach outside the deleted thing and its own parts, in the order in which they come:
 * the same thing once, with the counts of what goes and what is emptied in it.
 */
export function reachedBy(reader: Reader, deleted: string, changes: readonly Change[]): Reached[] {
  const found = new Map<string, { kind: Kind; id: string; gone: Map<Kind, number>; emptied: number; kept: number }>();
  for (const change of changes) {
    const owners = ownersOf(reader, change.kind, change.id);
    if (owners.some(({ id }) => id === deleted)) continue;
    const { kind, id } = owners.at(-1)!;
    const entry = found.get(id) ?? { kind, id, gone: new Map<Kind, number>(), emptied: 0, kept: 0 };
    found.set(id, entry);
    if (isTypedText(change.after)) entry.kept++;
    else if (change.path.length > 0) entry.emptied++;
    else entry.gone.set(change.kind, (entry.gone.get(change.kind) ?? 0) + 1);
  }
  return [...found.values()].sort((a, b) => KINDS.indexOf(a.kind) - KINDS.indexOf(b.kind));
}

const isTypedText = (value: unknown): boolean => typeof value === 'object' && value !== null && 'typed' in value;

/** The entity itself, what it is part of, and so on up to what stands alone. */
function ownersOf(reader: Reader, kind: Kind, id: string): { kind: Kind; id: string }[] {
  const owners = [{ kind, id }];
  for (;;) {
    const { kind: at, id: part } = owners.at(-1)!;
    const owning = ownerOf(at);
    const owner = owning && (reader.get(at, part) as (Entity & Record<string, unknown>) | undefined)?.[owning.field];
    if (typeof owner !== 'string' || !owning) return owners;
    owners.push({ kind: owning.kind, id: owner });
  }
}
