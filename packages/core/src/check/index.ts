/** The rules, the engine that runs them for what an edit made stale, the fixes, and the sentences of findings. */
export { acceptancesOf, type Accepted, counting, restsOn } from './acceptance.js';
export { RULES } from './catalogue.js';
export { type Beside, type CheckChange, CheckEngine, type LaneResult } from './engine.js';
export { fixAllThrough } from './fix-all.js';
export { fixesOf } from './fixes-of.js';
export { inOrderOfWork, type Tally, tallyOf } from './order-of-work.js';
export type { Fix, Rule } from './rule.js';
export { ruleOf, textOf } from './sentence.js';
