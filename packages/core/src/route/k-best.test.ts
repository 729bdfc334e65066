import fc from 'fast-check';
import { DirectedGraph } from 'graphology';
import { dijkstra } from 'graphology-shortest-path';
import { bestPath, pathsInOrder, type Step } from './k-best.js';

type Edge = readonly [from: number, to: number, cost: number];
const network = fc.record({
  count: fc.integer({ min: 2, max: 9 }),
  edges: fc.array(fc.tuple(fc.nat(8), fc.nat(8), fc.integer({ min: 1, max: 20 })), { maxLength: 30 }),
});

function stepsOf(edges: readonly Edge[]) {
  const steps = new Map<string, Step<string>[]>();
  for (const [from, to, cost] of edges) {
    const list = steps.get(String(from)) ?? [];
    const known = list.find((step) => step.to === String(to));
    if (known) known.cost = Math.min(known.cost, cost);
    else if (from !== to) list.push({ to: String(to), cost });
    steps.set(String(from), list);
  }
  return (node: string) => steps.get(node) ?? [];
}

// [library: graphology-shortest-path, Dijkstra's search]
/** The first so many of what is found one by one. */
function firstOf<T>(all: Iterator<T>, count: number): T[] {
  const list: T[] = [];
  for (let next = all.next(); !next.done && list.length < count; next = all.next()) list.push(next.value);
  return list;
}

test('the best path costs what an independent library finds, over random networks', () => {
  fc.assert(
    fc.property(network, ({ count, edges }) => {
      const steps = stepsOf(edges);
      const graph = new DirectedGraph();
      for (let i = 0; i < 9; i++) graph.addNode(String(i));
      for (let i = 0; i < 9; i++) {
        for (const { to, cost } of steps(String(i))) graph.addDirectedEdge(String(i), to, { weight: cost });
      }
      const goal = String(count - 1);
      const theirs = dijkstra.bidirectional(graph, '0', goal, 'weight') as string[] | null;
      const cost = theirs
        ?.slice(1)
        .reduce((sum, node, i) => sum + (graph.getEdgeAttribute(theirs[i], node, 'weight') as number), 0);
      expect(bestPath(steps, '0', goal)?.cost ?? null).toBe(cost ?? null);
    }),
    { numRuns: 400 },
  );
});

/** Every path that meets no node twice, by trying all of them. */
function allPaths(steps: ReturnType<typeof stepsOf>, goal: string): number[] {
  const costs: number[] = [];
  const walk = (node: string, met: Set<string>, cost: number) => {
    if (node === goal) {
      costs.push(cost);
      return;
    }
    for (const step of steps(node)) if (!met.has(step.to)) walk(step.to, new Set([...met, step.to]), cost + step.cost);
  };
  walk('0', new Set(['0']), 0);
  return costs.sort((a, b) => a - b);
}

test('the k best are the k best of all that there are', () => {
  fc.assert(
    fc.property(network, fc.integer({ min: 1, max: 6 }), ({ count, edges }, k) => {
      const steps = stepsOf(edges);
      const goal = String(count - 1);
      const found = firstOf(pathsInOrder(steps, '0', goal), k);
      expect(found.map((path) => path.cost)).toEqual(allPaths(steps, goal).slice(0, k));
      for (const { nodes } of found) expect(new Set(nodes).size).toBe(nodes.length);
    }),
    { numRuns: 300 },
  );
});
