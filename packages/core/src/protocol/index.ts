/** What each protocol carries, how it names places, and what an end is told about the other. */
export { protocolAt, protocolOf } from './catalogue.js';
export { OTHER_FACTS, OTHER_ID } from './other.js';
