/** The plant acted out by what each end says, as a second opinion on every verdict. */
export { type FoldedLanes, foldedReport, walkWords } from './folded-report.js';
export { Standings } from './standing.js';
export { lanesToWalk, type Mark, walkAll, type Walked, walking } from './walk-all.js';
export { type LaneWalk, type PathWalk, sentenceOf, type Try, type ValueWalk } from './walk-lane.js';
