/** Slots, what is in them, what lands where, and which revisions are taken. */
export { landedOf } from './landed.js';
export { slotRows } from './slot-rows.js';
export { slotName, zoneAt } from './slots.js';
