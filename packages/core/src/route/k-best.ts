/** A step of a graph: where it leads, and what it costs (0 or more). */
export interface Step<N> {
  to: N;
  cost: number;
}
export interface Path<N> {
  nodes: readonly N[];
  cost: number;
}

/** What is left out of a search: nodes, and single steps from one node to another. */
interface LeftOut {
  nodes: ReadonlySet<string>;
  steps: ReadonlySet<string>;
}
const NOTHING: LeftOut = { nodes: new Set(), steps: new Set() };
const stepKey = (from: string, to: string) => `${from}\n${to}`;

/**
 * The path of least cost from one node to another; of equal ones that which was found first. Null where there is none.
 * [published: E. W. Dijkstra, A note on two problems in connexion with graphs, 1959] [from memory]
 */
export function bestPath(
  steps: (node: string) => readonly Step<string>[],
  from: string,
  to: string,
  leftOut: LeftOut = NOTHING,
): Path<string> | null {
  const costs = new Map<string, number>([[from, 0]]);
  const before = new Map<string, string>();
  const done = new Set<string>();
  const waiting = new Heap();
  waiting.add(0, from);
  for (let next = waiting.take(); next; next = waiting.take()) {
    const { node, cost } = next;
    if (done.has(node)) continue;
    if (node === to) break;
    done.add(node);
    for (const step of steps(node)) {
      if (done.has(step.to) || leftOut.nodes.has(step.to) || leftOut.steps.has(stepKey(node, step.to))) continue;
      const total = cost + step.cost;
      if (total >= (costs.get(step.to) ?? Infinity)) continue;
      costs.set(step.to, total);
      before.set(step.to, node);
      waiting.add(total, step.to);
    }
  }
  const cost = costs.get(to);
  if (cost === undefined) return null;
  const nodes = [to];
  for (let node = before.get(to); node !== undefined; node = before.get(node)) nodes.unshift(node);
  return { nodes, cost };
}

/**
 * All paths that meet no node twice, best first, each looked for when it is asked for.
 * [published: J. Y. Yen, Finding the k shortest loopless paths in a network, 1971] [from memory]
 */
export function* pathsInOrder(
  steps: (node: string) => readonly Step<string>[],
  from: string,
  to: string,
): Generator<Path<string>, void> {
  const first = bestPath(steps, from, to);
  const found = first ? [first] : [];
  const others: Path<string>[] = [];
  while (found.length > 0) {
    const last = found.at(-1)!;
    yield last;
    let spent = 0;
    for (let i = 0; i + 1 < last.nodes.length; i++) {
      const root = last.nodes.slice(0, i + 1);
      const same = found.filter((path) => root.every((node, n) => path.nodes[n] === node));
      const leftOut = {
        nodes: new Set(root.slice(0, -1)),
        steps: new Set(same.map((path) => stepKey(path.nodes[i]!, path.nodes[i + 1]!))),
      };
      const rest = bestPath(steps, root.at(-1)!, to, leftOut);
      if (rest) {
        const path = { nodes: [...root.slice(0, -1), ...rest.nodes], cost: spent + rest.cost };
        const key = path.nodes.join('\n');
        if (![...found, ...others].some((other) => other.nodes.join('\n') === key)) others.push(path);
      }
      spent += steps(last.nodes[i]!).find((step) => step.to === last.nodes[i + 1])?.cost ?? 0;
    }
    others.sort((a, b) => a.cost - b.cost);
    const next = others.shift();
    if (!next) return;
    found.push(next);
  }
}

/** Nodes by their cost, the least on top; of equal ones the earlier. */
class Heap {
  private readonly list: { cost: number; turn: number; node: string }[] = [];
  private turn = 0;

  add(cost: number, node: string): void {
    const entry = { cost, turn: this.turn++, node };
    let at = this.list.push(entry) - 1;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (!before(entry, this.list[parent]!)) break;
      this.list[at] = this.list[parent]!;
      at = parent;
    }
    this.list[at] = entry;
  }

  take(): { cost: number; node: string } | null {
    const top = this.list[0];
    const last = this.list.pop();
    if (!top || !last) return null;
    if (this.list.length === 0) return top;
    let at = 0;
    for (;;) {
      let child = 2 * at + 1;
      if (child >= this.list.length) break;
      if (child + 1 < this.list.length && before(this.list[child + 1]!, this.list[child]!)) child++;
      if (!before(this.list[child]!, last)) break;
      this.list[at] = this.list[child]!;
      at = child;
    }
    this.list[at] = last;
    return top;
  }
}

const before = (a: { cost: number; turn: number }, b: { cost: number; turn: number }) =>
  a.cost < b.cost || (a.cost === b.cost && a.turn < b.turn);
