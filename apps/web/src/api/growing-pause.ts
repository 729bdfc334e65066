const FIRST_MS = 2000;
const LONGEST_MS = 30_000;
/** Tries before the pauses grow: a server that is started again is found soon. */
const QUICK_TRIES = 5;

/** How long to wait before something is tried again that failed so many times in a row, ms. */
export const growingPause = (failures: number): number =>
  Math.min(FIRST_MS * 2 ** Math.max(0, failures - QUICK_TRIES), LONGEST_MS);
