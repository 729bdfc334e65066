/** Where a value goes and where it comes from, over lanes, copies and memories, with its worst-case age. */
export { affectedBy } from './affected.js';
export type { Age } from './age.js';
export { composed } from './composed.js';
export { follow, type Hop } from './follow.js';
export { type HopSample, hopSamples } from './hop-samples.js';
export { waysThrough } from './ways-through.js';
