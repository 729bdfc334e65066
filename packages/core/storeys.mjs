/**
 * The storeys of the core, lowest first, and the folders of each, in order. A folder imports from those that stand before it
 * and from no other, so that no circle can come about. Lint enforces it (`.dependency-cruiser.mjs`), a test prints it.
 */
export const STOREYS = [
  ['model', 'change'],
  ['text', 'data', 'place'],
  ['finding', 'protocol', 'wiring', 'time', 'rack'],
  ['rehearse', 'structure', 'formats', 'file', 'lane', 'follow', 'overview', 'route', 'told'],
  ['setting', 'create', 'profiles', 'exchange', 'fields'],
  ['tags', 'sheet', 'compare', 'hardware', 'lab', 'survey', 'temporary'],
  ['check', 'symptom', 'find', 'work'],
  ['pointtest'],
];
