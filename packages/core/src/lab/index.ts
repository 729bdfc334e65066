/** What was seen, read in every way; and what would explain it in place of what was expected. */
export { type Cause, type Explanation, explainSeen } from './explain-seen.js';
export { readRaw } from './raw.js';
export { readingsOf } from './readings.js';
export { placesOfCause, type PlaceOfCause } from './places-of-cause.js';
