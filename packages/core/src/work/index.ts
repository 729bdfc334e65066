/** What is to be done on site, in which order, and what became of it. */
export { KeptWork } from './kept-work.js';
export { type LoadedAgain, loadedAgain } from './loaded-again.js';
export { isSettled, type OrderOfWork, orderOfWork, type PlacedStep, withRecords } from './order-of-work.js';
export { type Said, tickStep, untick } from './tick-step.js';
