/** Lists of hardware brought in, modules moved, who owns what, and the card of what is to be set. */
export { HARDWARE_LIST } from './list/hardware-list.js';
export type { ListRow } from './list/list-rows.js';
export { type ListPlan, planList } from './list/plan-list.js';
export { type MovePlan, planMove } from './move-module.js';
export { plantFromText, type PlantOfText } from './plant-from-text.js';
export { ownerMapOf } from './owner-map.js';
export { settingCard } from './setting-card.js';
