import { byOrder, childrenOf } from '../model/order.js';
import type { Module } from '../model/module.js';
import type { Project } from '../model/project.js';
import type { Rack } from '../model/rack.js';
import { isInRack, lastSlot, zoneAt } from './slots.js';

/** One line of a slot table: a slot with what is in it, or a module that has no place in the rack. */
export interface SlotRow {
  slot: number | null;
  module: Module | null;
  /** the name of the zone, at its first slot */
  zone: string | null;
}

/** Every slot in order, with two lines where two modules are in one; then what is not placed yet, or outside. */
export function slotRows(project: Project, rack: Rack): SlotRow[] {
  const modules = childrenOf(project, 'module', rack.id);
  const rows: SlotRow[] = [];
  for (let slot = rack.first; slot <= lastSlot(rack); slot++) {
    const zone = zoneAt(rack, slot)?.[1];
    const label = zone && zone.slot === slot ? zone.name : null;
    const here = modules.filter((m) => m.slot === slot).sort(byOrder);
    if (here.length === 0) rows.push({ slot, module: null, zone: label });
    here.forEach((module, i) => rows.push({ slot, module, zone: i === 0 ? label : null }));
  }
  const rest = modules.filter((m) => m.slot === null || !isInRack(rack, m.slot));
  return [...rows, ...rest.map((module) => ({ slot: module.slot, module, zone: null }))];
}
