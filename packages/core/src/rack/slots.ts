import type { Module } from '../model/module.js';
import { entriesInOrder } from '../model/order.js';
import type { Rack, Zone } from '../model/rack.js';

/** The last slot of a rack of n slots that begins with f: f + n − 1. */
export const lastSlot = (rack: Rack): number => rack.first + rack.size - 1;

export const isInRack = (rack: Rack, slot: number): boolean => slot >= rack.first && slot <= lastSlot(rack);

/** The zone that a slot lies in, with its key. */
export function zoneAt(rack: Rack, slot: number): [string, Zone] | null {
  return entriesInOrder(rack.zones).find(([, zone]) => slot >= zone.slot && slot < zone.slot + zone.size) ?? null;
}

/** What a slot is called: its zone may count for itself. */
export function slotName(rack: Rack, slot: number): string {
  const zone = zoneAt(rack, slot)?.[1];
  return zone?.first === undefined ? String(slot) : `${zone.name} ${zone.first + slot - zone.slot}`;
}

/** Why a module cannot stand in a slot; null: it can. Whether the slot is taken is not looked at. */
export function placeFault(rack: Rack, module: Pick<Module, 'kind' | 'orderCode'>, slot: number): string | null {
  if (!isInRack(rack, slot)) return `the rack has slots ${rack.first} to ${lastSlot(rack)}`;
  const zone = zoneAt(rack, slot)?.[1];
  if (zone && zone.kinds.length > 0 && !zone.kinds.includes(module.kind)) {
    return `zone ${zone.name} takes ${zone.kinds.join(', ')} only`;
  }
  return null;
}

/** Empty slots that have a module after them, where the rack, or their zone, allows none. */
export function gapsIn(rack: Rack, taken: ReadonlySet<number>): number[] {
  const gaps: number[] = [];
  const zones = entriesInOrder(rack.zones).map(([, zone]) => zone);
  const look = (from: number, to: number, allowed: boolean) => {
    if (allowed) return;
    const last = Math.max(from - 1, ...[...taken].filter((slot) => slot >= from && slot <= to));
    for (let slot = from; slot < last; slot++) if (!taken.has(slot)) gaps.push(slot);
  };
  for (const zone of zones) look(zone.slot, zone.slot + zone.size - 1, zone.gaps ?? rack.gaps);
  if (zones.length === 0) look(rack.first, lastSlot(rack), rack.gaps);
  return gaps.sort((a, b) => a - b);
}
