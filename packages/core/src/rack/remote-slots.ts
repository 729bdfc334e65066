import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import { slotName } from './slots.js';

/**
 * Slots under which a station of remote I/O is asked by this controller: first those of the modules that it has entered,
 * then the head's. As its racks count; none where nothing is placed.
 */
export function slotsOfRemoteIo(reader: Reader, station: string, controller: string): string[] {
  const entered: string[] = [];
  const heads: string[] = [];
  for (const rack of childrenOf(reader, 'rack', station)) {
    for (const module of childrenOf(reader, 'module', rack.id)) {
      if (module.slot === null) continue;
      const landings = childrenOf(reader, 'landing', module.id);
      if (landings.some((landing) => landing.station === controller)) entered.push(slotName(rack, module.slot));
      else if (module.kind === 'head') heads.push(slotName(rack, module.slot));
    }
  }
  return [...entered, ...heads];
}
