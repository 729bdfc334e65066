/** What each protocol carries, how it names places, and what an end is told about the other. */
export { protocolAt, protocolOf } from './catalogue.js';
