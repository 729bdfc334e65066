/** Where a reserved range may start, in bits of its area; what is not stated does not limit it. */
export interface Starts {
  firstStart?: number | null;
  lastStart?: number | null;
  startStep?: number | null;
}

/** The permitted start that is nearest to this one; it itself where it is permitted. A step counts from the first start. */
export function permittedStart(start: number, { firstStart, lastStart, startStep }: Starts): number {
  const first = firstStart ?? 0;
  const last = lastStart ?? Infinity;
  const inside = Math.min(Math.max(start, first), last);
  if (!startStep) return inside;
  const steps = Math.round((inside - first) / startStep);
  return first + Math.min(steps, Math.floor((last - first) / startStep)) * startStep;
}
