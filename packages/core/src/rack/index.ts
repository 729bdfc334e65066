/** Slots, what is in them, what lands where, and which revisions are taken. */
export { slotRows } from './slot-rows.js';
export { slotName, zoneAt } from './slots.js';
