import { planWithLong } from './poll-plan-long.js';

/** What is to be asked for: so many units of one table from its first on. */
export interface PollItem {
  id: string;
  start: number;
  length: number;
}

/** What a request costs: for itself, and for every unit that it brings; ms, bytes or what is to be saved. */
export interface PollCost {
  perRequest: number;
  perUnit: number;
}

export interface PollRequest {
  start: number;
  length: number;
  /** of what is asked for, in order of their start; a long one may stand in several requests */
  items: readonly string[];
  /** units that nobody asked for, read because a second request would cost more */
  bridged: number;
}

/**
 * The requests that bring all of this at the least cost: gaps are bridged where reading them costs less than another
 * request, and no request has more than `most` units. What is longer than one request is asked for in several, cut where
 * it suits what lies beside it (`poll-plan-long.ts`). Spans in order of their start and none within another, the last request of the best plan up to each is
 * the one from the start that makes request and rest least: a window that only moves on. O(n log n) for the sorting.
 */
export function pollPlan(items: readonly PollItem[], most: number, cost: PollCost): PollRequest[] {
  if (items.some((item) => item.length > most)) return planWithLong(items, most, cost);
  const { perRequest, perUnit } = cost;
  const cut = [...items].sort((a, b) => a.start - b.start || b.length - a.length);
  const spans = spansOf(cut);
  const n = spans.length;
  const best = new Float64Array(n + 1);
  const from = new Int32Array(n + 1);
  // Starts that may still be the best for some end, the best one first.
  const window = new Int32Array(n);
  let [head, tail] = [0, 0];
  const worth = (start: number) => best[start]! - perUnit * spans[start]!.start;
  for (let end = 0; end < n; end++) {
    while (tail > head && worth(window[tail - 1]!) >= worth(end)) tail--;
    window[tail++] = end;
    while (spans[end]!.end - spans[window[head]!]!.start > most) head++;
    const start = window[head]!;
    best[end + 1] = worth(start) + perUnit * spans[end]!.end + perRequest;
    from[end + 1] = start;
  }
  const requests: PollRequest[] = [];
  for (let end = n; end > 0; end = from[end]!) requests.push(requestOf(spans, cut, from[end]!, end));
  return requests.reverse();
}

/** One request for the spans from this one up to that. */
function requestOf(spans: readonly PollSpan[], cut: readonly PollItem[], from: number, to: number): PollRequest {
  const [start, last] = [spans[from]!.start, spans[to - 1]!.end];
  let [covered, reached] = [0, start];
  for (let i = from; i < to; i++) {
    const span = spans[i]!;
    covered += Math.max(0, span.end - Math.max(reached, span.start));
    reached = Math.max(reached, span.end);
  }
  const items: string[] = [];
  for (let i = spans[from]!.first; i < spans[to - 1]!.past; i++) {
    items.push(cut[i]!.id);
  }
  return { start, length: last - start, items, bridged: last - start - covered };
}

/** What a plan costs. */
export const planCost = (plan: readonly PollRequest[], { perRequest, perUnit }: PollCost): number =>
  plan.reduce((sum, request) => sum + perRequest + perUnit * request.length, 0);

/** A stretch that is asked for, with the items that lie in it: those from `first` up to `past`. */
interface PollSpan {
  start: number;
  end: number;
  first: number;
  past: number;
}

/** None within another. */
function spansOf(cut: readonly PollItem[]): PollSpan[] {
  const spans: PollSpan[] = [];
  for (let i = 0; i < cut.length; i++) {
    const { start, length } = cut[i]!;
    const last = spans[spans.length - 1];
    if (last && start + length <= last.end) last.past = i + 1;
    else spans.push({ start, end: start + length, first: i, past: i + 1 });
  }
  return spans;
}
