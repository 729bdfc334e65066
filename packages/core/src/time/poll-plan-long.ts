import type { PollCost, PollItem, PollRequest } from './poll-plan.js';

/** Everything needed before this position has been read, at this cost. */
interface Reached {
  position: number;
  cost: number;
  /** the request that led here, and from where */
  start: number;
  before: Reached | null;
}

/**
 * The cheapest requests where something is longer than one request: that is cut wherever it suits what lies around it,
 * while everything else stands whole in one request. Each request begins with the first thing that is still missing; it
 * ends where something ends, or when it is full in the middle of what may be cut. Of all ways to go on from a position
 * only the cheapest is kept.
 */
export function planWithLong(
  items: readonly PollItem[],
  most: number,
  { perRequest, perUnit }: PollCost,
): PollRequest[] {
  const sorted = [...items].sort((a, b) => a.start - b.start || b.length - a.length);
  const end = (item: PollItem) => item.start + item.length;
  const isLong = (item: PollItem) => item.length > most;
  const last = Math.max(...sorted.map(end));
  const open: Reached[] = [{ position: -Infinity, cost: 0, start: 0, before: null }];
  let done: Reached = open[0]!;
  while (open.length > 0) {
    const here = open.shift()!;
    done = here;
    if (here.position >= last) break;
    const missing = sorted.filter((item) => end(item) > here.position);
    const start = Math.min(...missing.map((item) => (isLong(item) ? Math.max(item.start, here.position) : item.start)));
    const full = start + most;
    const ends = new Set(missing.filter((item) => item.start < full && end(item) <= full).map(end));
    // What may be cut is cut before something that stands whole, where reading a part of that twice would cost more.
    for (const item of missing) {
      if (item.start > start && item.start > here.position && item.start <= full) ends.add(item.start);
    }
    if (missing.some((item) => isLong(item) && item.start < full && end(item) > full)) ends.add(full);
    for (const position of ends) {
      const cost = here.cost + perRequest + perUnit * (position - start);
      const at = open.findIndex((one) => one.position >= position);
      const known = open[at];
      const next: Reached = { position, cost, start, before: here };
      if (known?.position !== position) open.splice(at < 0 ? open.length : at, 0, next);
      else if (cost < known.cost) open[at] = next;
    }
  }
  const requests: PollRequest[] = [];
  for (let one: Reached | null = done; one?.before; one = one.before) {
    requests.push(requestOf(sorted, one.start, one.position));
  }
  return requests.reverse();
}

function requestOf(sorted: readonly PollItem[], start: number, end: number): PollRequest {
  const inside = sorted.filter((item) => item.start < end && item.start + item.length > start);
  let [covered, reached] = [0, start];
  for (const item of inside) {
    const to = Math.min(end, item.start + item.length);
    covered += Math.max(0, to - Math.max(reached, item.start));
    reached = Math.max(reached, to);
  }
  return { start, length: end - start, items: inside.map((item) => item.id), bridged: end - start - covered };
}
