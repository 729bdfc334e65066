import type { Hop } from './follow.js';

/** From the first hop to each from which nothing goes on: the hops in between, each one deeper or at the same station. */
export function waysThrough(hops: readonly Hop[]): Hop[][] {
  const ways: Hop[][] = [];
  const way: Hop[] = [];
  hops.forEach((hop, i) => {
    while (way.length > 0 && !leadsTo(way.at(-1)!, hop)) way.pop();
    way.push(hop);
    const next = hops[i + 1];
    if (!next || !leadsTo(hop, next)) ways.push([...way]);
  });
  return ways.filter((one) => one.length > 1);
}

const leadsTo = (from: Hop, to: Hop): boolean =>
  to.depth > from.depth || (to.depth === from.depth && to.station === from.station && to.lane !== from.lane);
