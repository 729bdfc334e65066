/** Addresses of every notation, tags and points as places: text to bits of an area and back. */
export { formatAddress, formatSpan, spanAddresses } from './format-address.js';
export { formatBits, formatCount, lengthBits } from './length.js';
export { memoryOf } from './memory.js';
export { NOTATION } from './notations/catalogue.js';
export { placeText } from './place-text.js';
export { pointText } from './point-text.js';
export { asksForTags, pointsOf } from './points.js';
