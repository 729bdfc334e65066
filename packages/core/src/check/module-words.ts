import { slotName } from '../rack/slots.js';
import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Reader } from '../model/project.js';
import type { Rack } from '../model/rack.js';

/** `Out 1 in slot 4`. */
export function moduleName(rack: Rack, module: Module): string {
  const name = module.name || module.kind;
  return module.slot === null ? name : `${name} in slot ${slotName(rack, module.slot)}`;
}

/** Every rack of a station with its modules. */
export function racksOf(reader: Reader, station: string): { rack: Rack; modules: Module[] }[] {
  return childrenOf(reader, 'rack', station).map((rack) => ({ rack, modules: childrenOf(reader, 'module', rack.id) }));
}

export const moduleCell = (module: Module, ...path: string[]) => ({ kind: 'module', id: module.id, path }) as const;
