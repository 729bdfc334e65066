/** How values sit in memory, and what becomes of their bits on the way. */
export { sampleBytes } from './memory-sample.js';
