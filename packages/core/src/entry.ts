/** What guards the edges at which entities enter: project files, change sets. */
export * from './file/read-project.js';
export * from './file/utf8.js';
export * from './model/classes.js';
export * from './model/inspect.js';
export { ID_PATTERN } from './model/fields.js';
export { LONGEST_NAME } from './model/longest.js';
export * from './file/depth.js';
export { AtMost } from './model/at-most.js';
