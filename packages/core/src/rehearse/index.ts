/** The plant acted out by what each end says, as a second opinion on every verdict. */
export { type LaneWalk, sentenceOf, walkLane } from './walk-lane.js';
