/** How long things take, in milliseconds: lines, requests, passes, cyclic data. */
export { linePassOf } from './line-pass.js';
export { ASSUMED_LINK_RATE, ASSUMED_LOAD_LEVEL, networkLoad } from './network-load.js';
export { pollPlan } from './poll-plan.js';
