import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';

/** The modules of all racks of a station, in order. */
export const modulesOf = (reader: Reader, station: string): Module[] =>
  childrenOf(reader, 'rack', station).flatMap((rack) => childrenOf(reader, 'module', rack.id));

/** The CPU that is meant: that of a slot, or the first; undefined where the rack holds none there. */
export function cpuOf(reader: Reader, station: string, slot: number | null): Module | undefined {
  return modulesOf(reader, station).find((m) => m.kind === 'CPU' && (slot === null || m.slot === slot));
}

/** Whether what arrives at this port has to go through the backplane to come to the CPU: it is on another module. */
export function needsBackplane(reader: Reader, port: Port): boolean {
  const module = port.module ? reader.get('module', port.module) : undefined;
  return module !== undefined && module.kind !== 'CPU' && module.kind !== 'head';
}
