import { childrenOf } from '../model/order.js';
import type { Module } from '../model/module.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { slotName } from './slots.js';

/** The slot of a station's CPU, as its rack counts; null where it has no rack with one, or it is not placed yet. */
export function cpuSlotOf(reader: Reader, station: Station): string | null {
  const cpu = cpuOf(reader, station.id);
  const rack = cpu && reader.get('rack', cpu.rack);
  return cpu && rack && cpu.slot !== null ? slotName(rack, cpu.slot) : null;
}

/** The first CPU of a station that has a slot. */
export function cpuOf(reader: Reader, station: string): Module | null {
  for (const rack of childrenOf(reader, 'rack', station)) {
    const cpu = childrenOf(reader, 'module', rack.id).find((m) => m.kind === 'CPU' && m.slot !== null);
    if (cpu) return cpu;
  }
  return null;
}
