/** What is there only for the time of the work, and how each is undone. */
export { type Temporary, temporaryThings } from './temporary-things.js';
