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
  const waits = waitsOf(keys, rules);
  const closed: Closed[] = [];
  for (let circle = circleIn(waits); circle; circle = circleIn(waits)) {
    const told = circle.map((at, i) => {
      const next = circle![(i + 1) % circle!.length]!;
      return { at, next, rule: waits[next]!.find(({ before }) => before === at)!.rule };
    });
    closed.push(told.map(({ at, rule }) => ({ key: keys[at]!, why: rules[rule]!.why })));
    const last = told.reduce((a, b) => (b.rule > a.rule ? b : a));
    waits[last.next] = waits[last.next]!.filter(({ before }) => before !== last.at);
  }
  const followers: number[][] = keys.map(() => []);
  waits.forEach((own, at) => own.forEach(({ before }) => followers[before]!.push(at)));
  const open = waits.map(({ length }) => length);
  const ready = open.flatMap((left, at) => (left === 0 ? [at] : []));
  const order: Ordered[] = [];
  /** of each its layer and its number in the order */
  const [layers, numbers] = [new Uint32Array(keys.length), new Uint32Array(keys.length)];
  const earlier = new Earlier(keys.length);
  while (ready.length > 0) {
    const at = takeLeast(ready);
    const own = waits[at]!.sort((a, b) => numbers[a.before]! - numbers[b.before]!);
    layers[at] = own.reduce((most, { before }) => Math.max(most, layers[before]!), 0) + 1;
    numbers[at] = order.length;
    for (const { before } of own) earlier.add(at, before);
    const after = own.flatMap(({ before, rule }) =>
      own.some((other) => earlier.has(other.before, before)) ? [] : [{ key: keys[before]!, why: rules[rule]!.why }],
    );
    order.push({ key: keys[at]!, after, layer: layers[at]! });
    for (const next of followers[at]!) if (--open[next]! === 0) ready.push(next);
  }
  return { order, closed };
}

/** What a key waits for, by its place among the keys, and the rule that says so. */
interface Wait {
  before: number;
  rule: number;
}

/** Of each key what it waits for; where several rules say the same, by the first of them. */
function waitsOf(keys: readonly string[], rules: readonly { edges: readonly Edge[] }[]): Wait[][] {
  const place = new Map(keys.map((key, i) => [key, i]));
  const waits: Wait[][] = keys.map(() => []);
  const known = new Set<number>();
  rules.forEach(({ edges }, rule) => {
    for (const edge of edges) {
      const [before, after] = [place.get(edge.before), place.get(edge.after)];
      if (before === undefined || after === undefined || before === after) continue;
      const pair = after * keys.length + before;
      if (known.has(pair)) continue;
      known.add(pair);
      waits[after]!.push({ before, rule });
    }
  });
  return waits;
}

/** Of each all that come before it, whether it waits for them itself or through others: a row of bits each. */
class Earlier {
  private readonly row: number;
  private readonly bits: Uint32Array;

  constructor(count: number) {
    this.row = Math.ceil(count / 32);
    this.bits = new Uint32Array(count * this.row);
  }

  add(at: number, before: number): void {
    const [own, other] = [at * this.row, before * this.row];
    for (let i = 0; i < this.row; i++) this.bits[own + i]! |= this.bits[other + i]!;
    this.bits[own + (before >>> 5)]! |= 1 << (before & 31);
  }

  has(at: number, before: number): boolean {
    return (this.bits[at * this.row + (before >>> 5)]! & (1 << (before & 31))) !== 0;
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
function circleIn(waits: readonly (readonly Wait[])[]): number[] | null {
  const path: number[] = [];
  const [done, onPath] = [new Uint8Array(waits.length), new Uint8Array(waits.length)];
  const walk = (at: number): number[] | null => {
    if (onPath[at]) return path.slice(path.indexOf(at)).reverse();
    if (done[at]) return null;
    path.push(at);
    onPath[at] = 1;
    for (const { before } of waits[at]!) {
      const found = walk(before);
      if (found) return found;
    }
    path.pop();
    onPath[at] = 0;
    done[at] = 1;
    return null;
  };
  for (let at = 0; at < waits.length; at++) {
    const found = walk(at);
    if (found) return found;
  }
  return null;
}
