/** Named variables: lists brought in and compared, series, points face to face, texts by template, images. */
export { boundTo } from './bound-to.js';
export { addressAfterTag } from './fill-tags.js';
export { besideInputs, type ImageRemedy } from './image/beside-inputs.js';
export { exportTags } from './import/export-tags.js';
export { type Chosen, importChanges, lastImport, tagOfRow } from './import/import-changes.js';
export {
  BECOMES,
  type Becomes,
  type ImportPlan,
  planImport,
  plannedTag,
  type PlannedTag,
} from './import/plan-import.js';
export { rowContext } from './import/read-row.js';
export { takeOverChanges } from './match/take-over.js';
export { bindChanges } from './match/bind.js';
export { matchNames } from './match/match.js';
export { type Reconciled, reconcileTags, type TagPair } from './match/reconcile-tags.js';
export { pasteTags } from './paste-tags.js';
export { readSample, seriesBySample } from './series-by-sample.js';
export { planSeries, seriesChanges } from './series-plan.js';
export { seriesName } from './series.js';
export { panelElementsFor } from './signal/panel-elements.js';
export { type PointRow, pointRows } from './signal/point-rows.js';
