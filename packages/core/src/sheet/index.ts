/** The two-ended sheet: its rows, typing, pasting, filling, mirroring and shifting, and its map to scale. */
export { dropItem, editSheet, type SheetEdit } from './edit-sheet.js';
export { explainLane } from './explain.js';
export { addressAfter, type Filled, fillLanes, fillValues } from './fill.js';
export { giveWay } from './give-way.js';
export { exchangeMap } from './map/exchange-map.js';
export { laneMap } from './map/lane-map.js';
export type { MapRuler, SheetMap } from './map/ruler.js';
export { valueMap } from './map/value-map.js';
export { type Mirrored, mirrorLanes } from './mirror.js';
export { type Pasted, pasteItems, pasteLanes } from './paste.js';
export { pastePages, splitPages } from './paste-pages.js';
export {
  laneRows,
  namesOtherPlace,
  type PageCells,
  type SheetLane,
  sheetLanes,
  type SheetRow,
  sheetRows,
} from './sheet.js';
export {
  columnOf,
  columnOfValue,
  SECOND_FIELDS,
  type SecondLineColumn,
  SHEET_COLUMNS,
  SHEET_FIELDS,
  type SheetColumn,
  underColumn,
} from './sheet-fields.js';
export { type Shift, type Shifted, shiftPage } from './shift.js';
export { splitBlock } from '../formats/split-block.js';
export { layTwoLists, type ListedSide, type TwoLists, type UnderstoodSide } from './two-lists.js';
export { type Strip, stripOf, type StripPart } from './strip.js';
export { pageTotals } from './totals.js';
