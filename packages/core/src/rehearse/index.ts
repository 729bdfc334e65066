/** The plant acted out by what each end says, as a second opinion on every verdict. */
export { type FoldedLanes, foldedReport, walkWords } from './folded-report.js';
export { Standings } from './standing.js';
export { lanesToWalk, type Mark, walkAll, type Walked, walking } from './walk-all.js';
export { type LaneWalk, type PathWalk, type Try, type ValueWalk } from './walk-lane.js';
export { answerPdu } from './modbus/answer.js';
export { type Tables, tablesOf } from './modbus/tables.js';
export type { Carrier, Link } from './link.js';
export { type ModbusRequest, requestsOf } from './modbus/requests.js';
export { Plant } from './plant.js';
export { answering } from './reach/answering.js';
export { answersOf } from './reach/answers-of.js';
export { type OfferedTag, offeredTags } from './offered.js';
export { shownValues } from './shown-values.js';
export type { Stimulus } from './stimulus.js';
export { STIMULUS_FORMS, stimulusWords } from './stimulus-words.js';
export { type Series, type Trace, type TraceAsked, traceOf, watchable, type Watched } from './trace.js';
export { truthsOf } from './truths.js';
