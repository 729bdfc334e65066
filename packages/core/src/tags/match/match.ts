import { NEAR_SCORES, nearKind, withoutSeparators, withoutZeros, type NearKind } from '../../text/near.js';

/** Something with a name on one side. */
export interface Named {
  id: string;
  name: string;
}

/** Two that are one, or nearly. */
export interface Match {
  left: string;
  right: string;
  kind: NearKind;
  score: number;
}

export interface Matched {
  pairs: Match[];
  left: string[];
  right: string[];
}

/**
 * Two lists by their names: each of the left with at most one of the right, the nearest first. Only names that share a key
 * are compared (the name without case, separators and zeros, and that with any one letter left out), so that it takes about
 * as long as the lists are long. `report` tells how many of the left are done; false stops it.
 */
export function matchNames(
  left: readonly Named[],
  right: readonly Named[],
  report: (done: number) => boolean = () => true,
): Matched {
  const pairs: Match[] = [];
  const [openLeft, openRight] = [new Map(left.map((n) => [n.id, n])), new Map(right.map((n) => [n.id, n]))];
  const join = (a: Named, b: Named, kind: NearKind) => {
    pairs.push({ left: a.id, right: b.id, kind, score: NEAR_SCORES[kind] });
    openLeft.delete(a.id);
    openRight.delete(b.id);
  };
  // Kinds that are the same by a key: the strictest key first.
  for (const key of [(n: string) => n, (n: string) => n.toLowerCase(), withoutSeparators, withoutZeros]) {
    const byKey = new Map<string, Named[]>();
    for (const one of openRight.values()) push(byKey, key(one.name), one);
    for (const one of [...openLeft.values()]) {
      const other = byKey.get(key(one.name))?.shift();
      const kind = other && nearKind(one.name, other.name);
      if (other && kind) join(one, other, kind);
    }
  }
  const byLetter = new Map<string, Named[]>();
  for (const one of openRight.values()) for (const key of lettersOut(one.name)) push(byLetter, key, one);
  let done = 0;
  const near: { one: Named; other: Named; kind: NearKind }[] = [];
  for (const one of openLeft.values()) {
    if (++done % 500 === 0 && !report(done)) break;
    const seen = new Set<string>();
    for (const key of lettersOut(one.name)) {
      for (const other of byLetter.get(key) ?? []) {
        if (seen.has(other.id)) continue;
        seen.add(other.id);
        const kind = nearKind(one.name, other.name);
        if (kind) near.push({ one, other, kind });
      }
    }
  }
  near.sort((a, b) => NEAR_SCORES[b.kind] - NEAR_SCORES[a.kind]);
  for (const { one, other, kind } of near) {
    if (openLeft.has(one.id) && openRight.has(other.id)) join(one, other, kind);
  }
  return { pairs, left: [...openLeft.keys()], right: [...openRight.keys()] };
}

function push(map: Map<string, Named[]>, key: string, one: Named): void {
  const list = map.get(key);
  if (list) list.push(one);
  else map.set(key, [one]);
}

/** The name, and the name with any one letter left out; two that differ in one letter share one of these. */
function lettersOut(name: string): Set<string> {
  const plain = withoutZeros(name);
  const keys = new Set([plain]);
  for (let i = 0; i < plain.length; i++) {
    if (!/\d/.test(plain[i]!)) keys.add(plain.slice(0, i) + plain.slice(i + 1));
  }
  return keys;
}

/** The names of a list that are nearest to one, best first, with in what they differ. */
export function nearest(name: string, list: Iterable<string>, most = 3): { name: string; kind: NearKind }[] {
  const found: { name: string; kind: NearKind }[] = [];
  for (const other of list) {
    const kind = nearKind(name, other);
    if (kind) found.push({ name: other, kind });
  }
  return found.sort((a, b) => NEAR_SCORES[b.kind] - NEAR_SCORES[a.kind]).slice(0, most);
}
