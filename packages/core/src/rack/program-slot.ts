import type { Module } from '../model/module.js';
import { childrenOf } from '../model/order.js';
import type { Port } from '../model/port.js';
import type { Reader } from '../model/project.js';
import type { Station } from '../model/station.js';
import { hostOf } from '../wiring/host-of.js';

/** The modules of all racks of a station, in order. */
export const modulesOf = (reader: Reader, station: string): Module[] =>
  childrenOf(reader, 'rack', station).flatMap((rack) => childrenOf(reader, 'module', rack.id));

/** What is in a slot: a module of its racks, or a program that runs on the station and is told from others by that slot. */
export function inSlot(reader: Reader, station: string, slot: number): { name: string; isCpu: boolean } | undefined {
  const module = modulesOf(reader, station).find((m) => m.slot === slot);
  if (module) return { name: module.name, isCpu: module.kind === 'CPU' };
  const programs = reader.referrers('station', station).flatMap((id) => reader.get('station', id) ?? []);
  const program = programs.find((s) => programSlotOf(reader, s) === slot);
  return program && { name: program.name, isCpu: true };
}

/** The CPU that is meant: that of a slot, or the first; undefined where the rack holds none there. */
export function cpuOf(reader: Reader, station: string, slot: number | null): Module | undefined {
  return modulesOf(reader, station).find((m) => m.kind === 'CPU' && (slot === null || m.slot === slot));
}

/**
 * The slot by which a program is told from others on its host: that of the CPU which it is in its own rack, or which has
 * its name in the rack of the host; undefined of a station that runs on itself, and where no rack says so.
 */
export function programSlotOf(reader: Reader, station: Station): number | undefined {
  const host = hostOf(reader, station);
  if (host.id === station.id) return undefined;
  const own = cpuOf(reader, station.id, null);
  const there = modulesOf(reader, host.id).find((m) => m.kind === 'CPU' && m.name === station.name);
  return (own ?? there)?.slot ?? undefined;
}

/** Whether what arrives at this port has to go through the backplane to come to the CPU: it is on another module. */
export function needsBackplane(reader: Reader, port: Port): boolean {
  const module = port.module ? reader.get('module', port.module) : undefined;
  return module !== undefined && module.kind !== 'CPU' && module.kind !== 'head';
}
