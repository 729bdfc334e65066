/**
 * The only way to edit a project: change sets that apply whole or are refused with the reason, are taken back, merged and
 * compared.
 */
export { apply, type Refusal } from './apply.js';
export { type Change, type ChangeSet, invert, type Json } from './change.js';
export { changesNothing } from './changes-nothing.js';
export { diff, entityChanges } from './diff.js';
export { fieldWords } from './change.js';
export { dropWithDependents, put, set } from './make.js';
export { withBoth, withStoredBefore } from './merge.js';
export { overlapsPaths } from './overlap.js';
export { isGone, isWhy, withPutBack } from './put-back.js';
export { type Reached, reachedBy } from './reached.js';
export { tooLong } from './too-long.js';
