import type { Cause } from '../lab/explain-seen.js';

/** What a person sees where a value comes out for this cause, as the id of a symptom; null: nothing is wrong. */
export function symptomOfSeen(cause: Cause): string | null {
  if (cause === 'same') return null;
  if (cause === 'text') return 'letters';
  if (cause === 'sign') return 'sign';
  return cause.startsWith('bits of') ? 'wrong-place' : 'factor';
}
