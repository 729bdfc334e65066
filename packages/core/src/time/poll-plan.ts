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
 * request, and no request has more than `most` units. What is longer than one request is asked for in several, each full
 * but the last. Spans in order of their start and none within another, the last request of the best plan up to each is
 * the one from the start that makes request and rest least: a window that only moves on. O(n log n) for the sorting.
 */
export function pollPlan(items: readonly PollItem[], most: number, { perRequest, perUnit }: PollCost): PollRequest[] {
  const spans = spansOf(items, most);
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
  for (let end = n; end > 0; end = from[end]!) {
    const part = spans.slice(from[end]!, end);
    const [start, last] = [part[0]!.start, part.at(-1)!.end];
    let covered = 0;
    let reached = start;
    for (const span of part) {
      covered += Math.max(0, span.end - Math.max(reached, span.start));
      reached = Math.max(reached, span.end);
    }
    const ids = [...new Set(part.flatMap((span) => span.ids))];
    requests.push({ start, length: last - start, items: ids, bridged: last - start - covered });
  }
  return requests.reverse();
}

/** What a plan costs. */
export const planCost = (plan: readonly PollRequest[], { perRequest, perUnit }: PollCost): number =>
  plan.reduce((sum, request) => sum + perRequest + perUnit * request.length, 0);

interface PollSpan {
  start: number;
  end: number;
  ids: string[];
}

/** In order, none within another; what is longer than a request cut into full ones. */
function spansOf(items: readonly PollItem[], most: number): PollSpan[] {
  const cut: PollSpan[] = [];
  for (const { id, start, length } of items) {
    for (let at = start; at < start + length; at += most) {
      cut.push({ start: at, end: Math.min(at + most, start + length), ids: [id] });
    }
  }
  cut.sort((a, b) => a.start - b.start || b.end - a.end);
  const spans: PollSpan[] = [];
  for (const span of cut) {
    const last = spans.at(-1);
    if (last && span.end <= last.end) last.ids.push(...span.ids);
    else spans.push(span);
  }
  return spans;
}
