/** Addresses of every notation, tags and points as places: text to bits of an area and back. */
export { formatBits, formatCount } from './length.js';
export { placeText } from './place-text.js';
export { asksForTags, pointsOf } from './points.js';
