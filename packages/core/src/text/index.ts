/** What people type, read: a value, or what was found and what would be right. */
export { clockAhead } from './clock-ahead.js';
export { type FieldEdit, parseWhole, refused } from './field-edit.js';
export { NEAR_SCORES } from './near.js';
export { shownWord } from './shown-word.js';
export { type Read, unread, unreadSentence } from './read.js';
export { typedNumber } from './typed-number.js';
