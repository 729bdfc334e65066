import type { Finding } from '@dialoga/core/finding';

/** Each end says of itself what the other was not told: one step tells them all. */
export const onlyNotTold = (findings: readonly (Finding | undefined)[]): boolean =>
  findings.length > 1 && findings.every((finding) => finding?.message === 'notTold');
