/** What an end, a tool or a text was told about another, against what is so; and everywhere that an address is also typed. */
export { copiesOf, type Copy, followUp, tickCopy, untickCopy } from './copies.js';
export { copiesOfModule, followUpModule } from './module-copies.js';
export { TOLD_WORDS, toldFields } from './told.js';
