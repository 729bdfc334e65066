/** What differs between two revisions, row by row as the sheets show it. */
export { type Compared, type ComparedRow, compareRevisions } from './compared-rows.js';
