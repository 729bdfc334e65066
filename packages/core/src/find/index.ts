/** What the find box asks: names, addresses in any notation, findings. */
export { find } from './find.js';
export type { Hit } from './hit.js';
