import { dequal } from 'dequal/lite';
import type { Reader } from '../model/project.js';
import { apply } from './apply.js';
import type { Change, ChangeSet, Json } from './change.js';
import { dropWithDependents } from './make.js';

type Tree = { readonly [key: string]: Json };
const isTree = (value: Json | undefined): value is Tree =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * A list that two people added to: what is stored, then what the change adds to it. Null where one of them did more than
 * add: changed an entry, or took one out.
 */
export function mergeAdditions(change: Change, stored: Json | undefined): Json | null {
  const { before, after } = change;
  if (Array.isArray(before) && Array.isArray(after) && Array.isArray(stored)) {
    const [was, mine, theirs] = [before as Json[], after as Json[], stored as Json[]];
    const has = (list: Json[], entry: Json) => list.some((e) => dequal(e, entry));
    if (![mine, theirs].every((list) => was.every((entry) => has(list, entry)))) return null;
    return [...theirs, ...mine.filter((entry) => !has(theirs, entry))];
  }
  if (isTree(before) && isTree(after) && isTree(stored)) {
    const kept = (list: Tree) => Object.keys(before).every((key) => dequal(list[key], before[key]));
    const added = Object.keys(after).filter((key) => !(key in before));
    if (!kept(after) || !kept(stored) || added.some((key) => key in stored)) return null;
    return { ...stored, ...Object.fromEntries(added.map((key) => [key, after[key]!])) };
  }
  return null;
}

/** The change set with both additions wherever it meets another one's; null where that cannot be. */
export function withBoth(reader: Reader, set: ChangeSet, id: string): ChangeSet | null {
  return overStored(reader, set, id, (change, stored) => {
    const both = mergeAdditions(change, stored);
    return both === null ? null : { ...change, before: stored!, after: both };
  });
}

/**
 * The same edits, meant to replace whatever is stored now; a drop takes along what was built on it meanwhile. Null where
 * what they edit is gone.
 */
export function withStoredBefore(reader: Reader, set: ChangeSet, id: string): ChangeSet | null {
  return overStored(reader, withLaterDependents(reader, set), id, ({ before: _, ...change }, stored) =>
    stored === undefined ? change : { ...change, before: stored },
  );
}

/** The same edits; what is dropped goes as it is stored now, with everything that depends on it now. */
function withLaterDependents(reader: Reader, set: ChangeSet): ChangeSet {
  const applied = apply(reader, set);
  if (applied.ok || applied.refusal.code !== 'depended upon') return set;
  const dropped = set.changes.filter((c) => c.path.length === 0 && c.after === undefined);
  const drops = dropped.flatMap(({ kind, id }) => dropWithDependents(reader, kind, id));
  const once = new Map(drops.map((change) => [`${change.id} ${change.path.join('.')}`, change]));
  const ids = new Set(drops.map((change) => change.id));
  return { ...set, changes: [...set.changes.filter((c) => !ids.has(c.id)), ...once.values()] };
}

function overStored(
  reader: Reader,
  set: ChangeSet,
  id: string,
  meet: (change: Change, stored: Json | undefined) => Change | null,
): ChangeSet | null {
  let changes = [...set.changes];
  // Each round meets one more conflict; more rounds than changes would be none of ours.
  for (let round = 0; round <= set.changes.length; round++) {
    const applied = apply(reader, { ...set, changes });
    if (applied.ok) return { ...set, id, changes };
    const { refusal } = applied;
    const met = refusal.code === 'conflict' ? meet(refusal.change, refusal.stored) : null;
    if (!met) return null;
    changes = changes.map((c) => (refusal.code === 'conflict' && c === refusal.change ? met : c));
  }
  return null;
}
