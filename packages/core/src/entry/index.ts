/**
 * What guards the edges at which entities enter: project files, change sets, names in requests. It carries class-validator,
 * which the page does not load; so it is a face of its own, over `model` and `file`.
 */
export { readingProject, readProject, type ReadProject } from '../file/read-project.js';
export { textOfProjectFile } from '../file/utf8.js';
export { DEEPEST, isTooDeep } from '../file/depth.js';
export { inspectEntity, inspectFields } from '../model/inspect.js';
export { ID_PATTERN } from '../model/fields.js';
export { LONGEST_NAME } from '../model/lengths.js';
export { AtMost } from '../model/at-most.js';
