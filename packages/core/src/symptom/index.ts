/** What is seen on site, what may be behind it, and how to tell. */
export { SYMPTOMS } from './catalogue.js';
export { type RankedCause, rankedCauses } from './ranked-causes.js';
export { symptomOfSeen } from './symptom-of-seen.js';
export { symptomOfWalk } from './symptom-of-walk.js';
export { symptomOf } from './symptoms-named.js';
