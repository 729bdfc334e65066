import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { slotName } from './slots.js';

/** The slot of a station's CPU, as its rack counts; null where it has no rack with one, or it is not placed yet. */
export function cpuSlotOf(reader: Reader, station: Station): string | null {
  for (const rack of childrenOf(reader, 'rack', station.id)) {
    const cpu = childrenOf(reader, 'module', rack.id).find((m) => m.kind === 'CPU' && m.slot !== null);
    if (cpu?.slot !== null && cpu?.slot !== undefined) return slotName(rack, cpu.slot);
  }
  return null;
}
