/** Ends that count: those of the last minutes. */
const SPAN_MS = 10 * 60_000;
const LONGEST_MS = 60_000;

/**
 * How long to wait before something that ended is started again: hardly at all the first time, twice as long each time
 * that it ends again within ten minutes, a minute at most. It is never given up. Times are those of a clock that only
 * goes forwards.
 */
export function growingPauses(now = () => performance.now()) {
  let ends = [];
  return () => {
    const at = now();
    ends = [...ends.filter((before) => at - before < SPAN_MS), at];
    return Math.min(250 * 2 ** (ends.length - 1), LONGEST_MS);
  };
}

export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
