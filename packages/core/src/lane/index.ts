/** What each end claims of a block of data, and whether the claims agree. Only comparison; typing is in `sheet`. */
export { laneName, type Verdict, VERDICTS } from './compare.js';
export { Occupancy, type Use } from './occupancy.js';
export { SWAP_WORDS } from './swap-words.js';
