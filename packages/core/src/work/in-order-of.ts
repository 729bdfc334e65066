import type { Edge } from './order-rule.js';

/** A step that another waits for, and why. */
export interface Reason {
  key: string;
  why: string;
}

/** Steps that wait for one another in a circle; each with why the next one waits for it. */
export type Closed = readonly Reason[];

interface Ordered {
  key: string;
  /** in their order; without those that one of the others waits for already */
  after: Reason[];
  /** from 1: one more than the last layer that it waits for */
  layer: number;
}

/**
 * Keys in an order in which each comes after all that it waits for, and as they are given where nothing else is said
 * (Kahn’s algorithm). [published: A. B. Kahn, Topological sorting of large networks, CACM 5 (1962)] [from memory]
 * Of a circle the wait of the last rule is left out, and the circle is told.
 */
export function inOrderOf(
  keys: readonly string[],
  rules: readonly { why: string; edges: readonly Edge[] }[],
): { order: Ordered[]; closed: Closed[] } {
  const place = new Map(keys.map((key, i) => [key, i]));
  /** by the one that waits: what it waits for, with the number of the rule */
  const waits = new Map(keys.map((key) => [key, new Map<string, number>()]));
  rules.forEach(({ edges }, rule) => {
    for (const { before, after } of edges) {
      const own = waits.get(after);
      if (own && waits.has(before) && before !== after && !own.has(before)) own.set(before, rule);
    }
  });
  const closed: Closed[] = [];
  for (let circle = circleIn(keys, waits); circle; circle = circleIn(keys, waits)) {
    const told = circle.map((key, i) => {
      const next = circle![(i + 1) % circle!.length]!;
      return { key, rule: waits.get(next)!.get(key)! };
    });
    closed.push(told.map(({ key, rule }) => ({ key, why: rules[rule]!.why })));
    const last = told.reduce((a, b) => (b.rule > a.rule ? b : a));
    waits.get(circle[(circle.indexOf(last.key) + 1) % circle.length]!)!.delete(last.key);
  }
  const followers = new Map<string, string[]>();
  const open = new Map<string, number>();
  for (const [key, own] of waits) {
    open.set(key, own.size);
    for (const before of own.keys()) followers.set(before, [...(followers.get(before) ?? []), key]);
  }
  const ready = keys.filter((key) => open.get(key) === 0).map((key) => place.get(key)!);
  const order: Ordered[] = [];
  const layers = new Map<string, number>();
  const numbers = new Map<string, number>();
  const earlier = new Earlier(keys.length, place);
  while (ready.length > 0) {
    const key = keys[takeLeast(ready)]!;
    const own = waits.get(key)!;
    const layer = 1 + Math.max(0, ...[...own.keys()].map((before) => layers.get(before)!));
    layers.set(key, layer);
    numbers.set(key, order.length);
    const all = [...own].sort(([a], [b]) => numbers.get(a)! - numbers.get(b)!);
    earlier.add(
      key,
      all.map(([before]) => before),
    );
    const after = all.flatMap(([before, rule]) =>
      all.some(([other]) => earlier.has(other, before)) ? [] : [{ key: before, why: rules[rule]!.why }],
    );
    order.push({ key, after, layer });
    for (const next of followers.get(key) ?? []) {
      const left = open.get(next)! - 1;
      open.set(next, left);
      if (left === 0) ready.push(place.get(next)!);
    }
  }
  return { order, closed };
}

/** Of each key all that come before it, whether it waits for them itself or through others. */
class Earlier {
  private readonly of = new Map<string, Uint32Array>();

  constructor(
    private readonly count: number,
    private readonly place: ReadonlyMap<string, number>,
  ) {}

  add(key: string, direct: readonly string[]): void {
    const own = new Uint32Array(Math.ceil(this.count / 32));
    for (const before of direct) {
      const at = this.place.get(before)!;
      own[at >>> 5]! |= 1 << (at & 31);
      this.of.get(before)!.forEach((bits, i) => (own[i]! |= bits));
    }
    this.of.set(key, own);
  }

  has(key: string, before: string): boolean {
    const at = this.place.get(before)!;
    return (this.of.get(key)![at >>> 5]! & (1 << (at & 31))) !== 0;
  }
}

/** Takes the least out of a list that has few entries. */
function takeLeast(list: number[]): number {
  let at = 0;
  for (let i = 1; i < list.length; i++) if (list[i]! < list[at]!) at = i;
  const [least] = list.splice(at, 1);
  return least!;
}

/** Keys that wait for one another in a circle, each for the one before it; null: none do. */
function circleIn(keys: readonly string[], waits: ReadonlyMap<string, ReadonlyMap<string, number>>): string[] | null {
  const done = new Set<string>();
  const path: string[] = [];
  const onPath = new Set<string>();
  const walk = (key: string): string[] | null => {
    if (onPath.has(key)) return path.slice(path.indexOf(key)).reverse();
    if (done.has(key)) return null;
    path.push(key);
    onPath.add(key);
    for (const before of waits.get(key)!.keys()) {
      const found = walk(before);
      if (found) return found;
    }
    path.pop();
    onPath.delete(key);
    done.add(key);
    return null;
  };
  for (const key of keys) {
    const found = walk(key);
    if (found) return found;
  }
  return null;
}
