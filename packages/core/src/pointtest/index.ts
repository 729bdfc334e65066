/** What is tested on site point by point, and what was seen. */
export { observedLanes } from './observed-lanes.js';
export { pointName, type Point } from './point.js';
export { pointDetail, type PointDetail } from './point-detail.js';
export { PointList, type Points } from './point-list.js';
export { type PointStanding, type PointState, recordsByPoint, recordsOfGone, standingOf } from './point-states.js';
export { progressOf } from './progress.js';
export { recordPoint, type SaidOfPoint } from './record-point.js';
export { notRunning, seeRunning } from './seen-running.js';
export { whyNotSeen } from './symptom-of-point.js';
export { whichMoved } from './which-moved.js';
