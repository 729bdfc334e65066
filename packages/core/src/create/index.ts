/** New entities as they begin. */
export { newAreaOf } from './new-area.js';
export { newAcceptance, newEnd, newNetwork, newPort, newStation, newView } from './new-entities.js';
export { offeredBlocks, takeBlock } from './take-block.js';
