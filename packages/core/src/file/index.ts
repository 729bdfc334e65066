/** The project file: always the same bytes for the same project. */
export { FILE_FORMAT, FILE_VERSION, SECTION_OF, writeProject } from './canonical.js';
